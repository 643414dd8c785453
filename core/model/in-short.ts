/** A text in short: two sums over its characters (Fowler, Noll and Vo's, 32 bits, from two beginnings). */
export const inShort = (text: string): string => {
  const sum = (start: number): number => {
    let value = start;
    for (let at = 0; at < text.length; at += 1) value = Math.imul(value ^ text.charCodeAt(at), 0x01000193);
    return value >>> 0;
  };
  return `${sum(0x811c9dc5).toString(36)}-${sum(0x1000193).toString(36)}-${text.length}`;
};
