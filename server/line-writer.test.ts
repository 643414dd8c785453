import { PassThrough } from 'node:stream';
import { LineWriter } from './line-writer.ts';

const turn = (): Promise<void> => new Promise((resolve) => void setImmediate(resolve));

const written = (stream: PassThrough): string[] => {
  const parts: string[] = [];
  stream.on('data', (part: Buffer) => parts.push(String(part)));
  return parts;
};

describe('lines', () => {
  test('that are there together are written together, in the next turn, and none is lost at the end', async () => {
    const stream = new PassThrough();
    const parts = written(stream);
    const writer = new LineWriter(stream);
    writer.write('one');
    writer.write('two');
    expect(parts).toEqual([]);
    await turn();
    await turn();
    expect(parts).toEqual(['one\ntwo\n']);
    writer.write('three');
    writer.end();
    await turn();
    expect(parts).toEqual(['one\ntwo\n', 'three\n']);
  });

  test('wait for a reader that is slow, and for none that has gone', async () => {
    const stream = new PassThrough({ highWaterMark: 1_000 });
    const writer = new LineWriter(stream);
    expect(writer.write('x'.repeat(70_000))).toBe(false);
    let hasRoom = false;
    const waiting = writer.hasRoom().then(() => (hasRoom = true));
    await turn();
    expect(hasRoom).toBe(false);
    stream.resume();
    await waiting;
    stream.pause();
    expect(writer.write('y'.repeat(70_000))).toBe(false);
    const gone = writer.hasRoom();
    stream.destroy();
    await gone;
    expect(writer.write('z')).toBe(true);
    await turn();
    writer.end();
  });
});
