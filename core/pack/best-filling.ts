import { volumeOf, type Container, type Filling, type Kind } from './cuboid.ts';
import { fill, type PackingStrategy, type Work } from './fill.ts';
import { seeded } from '../seeded.ts';

/** How far a kind's favour goes from 1, either way. */
const SWING = 0.5;

/** Manners one after another: each preference plainly first, then both with kinds favoured this way and that. */
export const manners = (kinds: number): (() => PackingStrategy) => {
  const random = seeded(1);
  let made = 0;
  return () => {
    const prefers = made % 2 === 0 ? 'best-fit' : 'least-waste';
    made += 1;
    const plain = made <= 2;
    return {
      prefers,
      favour: Array.from({ length: kinds }, () => (plain ? 1 : 1 + (random() * 2 - 1) * SWING)),
    };
  };
};

/**
 * The fullest of many fillings of one container, within a limit of work; what is placed takes up the most
 * volume. Always the same for the same input.
 */
export const bestFilling = (
  kinds: readonly Kind[],
  counts: readonly number[],
  container: Container,
  work: Work,
): Filling => {
  const next = manners(kinds.length);
  const whole = kinds.reduce((sum, { volume }, kind) => sum + volume * (counts[kind] as number), 0);
  const most = Math.min(whole, volumeOf(container));
  let best = fill(kinds, counts, container, next(), work);
  while (work.left > 0 && best.volume < most) {
    const filling = fill(kinds, counts, container, next(), work);
    if (filling.volume > best.volume) best = filling;
  }
  return best;
};
