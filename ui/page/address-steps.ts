/** A page with what the address says is open on it. */
export interface AddressStep {
  name: string;
  params?: object | undefined;
}

const paramsText = ({ params }: AddressStep): string =>
  JSON.stringify(
    Object.entries(params ?? {})
      .filter(([, value]) => value !== undefined)
      .sort(),
  );

const isSame = (a: AddressStep | undefined, b: AddressStep): boolean =>
  a?.name === b.name && paramsText(a) === paramsText(b);

/**
 * The steps that the browser's way back has, after an address was gone to: what is opened on a page is a step of its
 * own, so that going back closes it; closing it goes back to the step that it was opened from.
 */
export const stepsAfter = (steps: readonly AddressStep[], to: AddressStep): readonly AddressStep[] => {
  const here = steps.at(-1);
  if (isSame(here, to)) return steps;
  const isClosing = here?.name === to.name && isSame(steps.at(-2), to);
  return isClosing ? steps.slice(0, -1) : [...steps, to];
};

/** The steps where an address took the place of the one before. */
export const stepsReplaced = (steps: readonly AddressStep[], by: AddressStep): readonly AddressStep[] => [
  ...steps.slice(0, -1),
  by,
];
