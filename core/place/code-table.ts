/**
 * A table from beginnings of postal codes to lists, made for looking up many codes among many
 * patterns: a beginning is one number, the keys lie side by side, and no text is cut or hashed.
 */

/** No postal code of the world is longer once blanks and hyphens are out (UPU S42). */
export const LONGEST_CODE = 10;

const BASE = 37;
const POWERS = Array.from({ length: LONGEST_CODE + 1 }, (_, length) => BASE ** length);

/** A letter or digit as 1 to 36; anything else as 0, which no pattern has. */
const digitOf = (character: number): number => {
  if (character >= 48 && character <= 57) return character - 47;
  return character >= 65 && character <= 90 ? character - 54 : 0;
};

/** A code's first ten characters as one number; beginnings of every length have numbers of their own. */
export const codeNumber = (code: string): number => {
  let number = 0;
  const length = Math.min(code.length, LONGEST_CODE);
  for (let at = 0; at < length; at += 1) number = number * BASE + digitOf(code.charCodeAt(at));
  return number;
};

/** The number of the first `length` characters of a code of `whole` characters. */
export const beginningOf = (number: number, whole: number, length: number): number =>
  Math.floor(number / (POWERS[Math.min(whole, LONGEST_CODE) - length] ?? 1));

const slotOf = (key: number, mask: number): number => {
  const mixed = Math.imul(key | 0, 0x9e3779b1) ^ Math.imul((key * 2 ** -32) | 0, 0x85ebca6b);
  return (mixed ^ (mixed >>> 15)) & mask;
};

/** From a beginning's number to a whole number that is not below 0: open addressing over two flat arrays. */
export class CodeTable {
  #keys = new Float64Array(16).fill(-1);
  #values = new Int32Array(16).fill(-1);
  #count = 0;

  /** What is filed under a key, or -1. */
  get(key: number): number {
    return this.#values[this.#slot(key)] as number;
  }

  set(key: number, value: number): void {
    if (this.get(key) === -1) {
      if ((this.#count + 1) * 2 > this.#keys.length) this.#grow();
      this.#count += 1;
    }
    this.#put(key, value);
  }

  /** Where a key stands, or the free place where it would. */
  #slot(key: number): number {
    const keys = this.#keys;
    const mask = keys.length - 1;
    let slot = slotOf(key, mask);
    while (keys[slot] !== key && keys[slot] !== -1) slot = (slot + 1) & mask;
    return slot;
  }

  #put(key: number, value: number): void {
    const slot = this.#slot(key);
    this.#keys[slot] = key;
    this.#values[slot] = value;
  }

  #grow(): void {
    const keys = this.#keys;
    const values = this.#values;
    this.#keys = new Float64Array(keys.length * 2).fill(-1);
    this.#values = new Int32Array(keys.length * 2).fill(-1);
    keys.forEach((key, slot) => {
      if (key !== -1) this.#put(key, values[slot] as number);
    });
  }
}
