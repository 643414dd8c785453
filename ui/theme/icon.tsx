import Svg, { Path } from 'react-native-svg';
import { ICON_PATHS } from './icon-paths.ts';

interface Props {
  name: unknown;
  color?: string;
  size: number;
}

/** An icon by name, drawn from its outline; what Paper draws its own icons with. */
export const Icon = ({ name, color, size }: Props) => (
  <Svg width={size} height={size} viewBox="0 0 24 24" aria-hidden>
    <Path d={ICON_PATHS[String(name)] ?? ''} fill={color ?? 'currentColor'} />
  </Svg>
);
