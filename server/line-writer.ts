import type { Writable } from 'node:stream';

/** So many characters are written at a time at most: a write for each line costs more than the line. */
const MOST_AT_ONCE = 65_536;

/** Writes lines: those that are there at the same moment together, none later than the next turn of the event loop. */
export class LineWriter {
  #lines = '';
  #due: NodeJS.Immediate | null = null;

  constructor(private readonly stream: Writable) {}

  /** Takes a line; false where the reader should be waited for before the next. */
  write(line: string): boolean {
    this.#lines += `${line}\n`;
    if (this.#lines.length >= MOST_AT_ONCE) return this.#flush();
    this.#due ??= setImmediate(() => this.#flush());
    return !this.stream.writableNeedDrain;
  }

  /** Waits until the reader has taken what was written, or has gone. */
  hasRoom(): Promise<void> {
    const { stream } = this;
    return new Promise((resolve) => {
      const done = (): void => {
        stream.off('drain', done).off('close', done);
        resolve();
      };
      if (stream.destroyed || !stream.writableNeedDrain) resolve();
      else stream.on('drain', done).on('close', done);
    });
  }

  end(): void {
    this.#flush();
    this.stream.end();
  }

  #flush(): boolean {
    if (this.#due) clearImmediate(this.#due);
    this.#due = null;
    const lines = this.#lines;
    this.#lines = '';
    return lines === '' || this.stream.destroyed || this.stream.write(lines);
  }
}
