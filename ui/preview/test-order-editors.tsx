import type { TestOrder } from '../../core/model/test-order.ts';
import { BasketEditor } from './basket-editor.tsx';
import { CustomerEditor } from './customer-editor.tsx';
import { MomentEditor } from './moment-editor.tsx';
import { PlaceEditor } from './place-editor.tsx';

/** Everything about a test order's order, edited in place: where, what, when and by whom. */
const TestOrderEditors = ({ testOrder }: { testOrder: TestOrder }) => (
  <>
    <PlaceEditor key={testOrder.id} testOrder={testOrder} />
    <BasketEditor key={`${testOrder.id}-basket`} testOrder={testOrder} />
    <MomentEditor key={`${testOrder.id}-moment`} testOrder={testOrder} />
    <CustomerEditor key={`${testOrder.id}-customer`} testOrder={testOrder} />
  </>
);

export default TestOrderEditors;
