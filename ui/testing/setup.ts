/** What the interface's tests stand on: the web's own parts that the test environment lacks. */
Object.defineProperty(globalThis, 'structuredClone', {
  value: globalThis.structuredClone ?? (<T>(value: T): T => JSON.parse(JSON.stringify(value)) as T),
});
