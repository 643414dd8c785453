import { Icon } from './icon.tsx';

/** The module that Paper's own controls look for their icons in; the bundler puts this one in its place. */
export default Icon;
