/** What stands at the gallery's address where the program is not in development. */
export { NoPage as default } from '../shell/no-page.tsx';
