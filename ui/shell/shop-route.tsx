import { lazy, type ComponentProps } from 'react';
import { Later } from '../parts/later.tsx';

const Shopfront = lazy(() => import('../screens/shopfront/shopfront.tsx'));

/** A page of the shopfront, which is loaded when it is first opened. */
export const ShopRoute = (props: ComponentProps<typeof Shopfront>) => (
  <Later>
    <Shopfront {...props} />
  </Later>
);
