/**
 * The fields of one thing that is edited, by the names of its parts: each shows its part, and hands on what it becomes
 * with what that is called in the list of changes.
 */
export const fieldsOf =
  <T extends object, Visit extends string | null | undefined>(
    thing: T,
    set: (changes: Partial<T>, what: string, visit: Visit) => void,
  ) =>
  <K extends keyof T & string>(part: K, what: string = part) => ({
    value: thing[part],
    onChange: (value: T[K], visit: Visit): void =>
      set({ [part]: value } as unknown as Partial<T>, what, visit),
  });
