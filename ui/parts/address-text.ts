/** A page of the program, with what is open on it. */
export type Address = string | { pathname: string; params?: object };

/** An address as it stands in a link. */
export const addressText = (to: Address): string => {
  if (typeof to === 'string') return to;
  const params = Object.entries(to.params ?? {}).filter(([, value]) => value !== undefined);
  const query = new URLSearchParams(params.map(([name, value]) => [name, String(value)])).toString();
  return query === '' ? to.pathname : `${to.pathname}?${query}`;
};
