/** Some fields of a rule in a draft of the state; a field given as undefined is taken out. */
export const setFields = <T extends object>(rule: T | undefined, changes: Partial<T>): void => {
  if (!rule) return;
  for (const [field, value] of Object.entries(changes)) {
    if (value === undefined) delete rule[field as keyof T];
    else Object.assign(rule, { [field]: value });
  }
};
