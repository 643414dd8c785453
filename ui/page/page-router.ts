import { StackRouter, type StackRouterOptions } from 'expo-router';
import { stepsAfter, stepsReplaced, type AddressStep } from './address-steps.ts';

type Stack = ReturnType<typeof StackRouter>;
type PageState = Parameters<Stack['getStateForAction']>[0] & { history?: AddressStep[] };

/** What goes on from an address to another, in place of taking its place. */
const GOES_ON: readonly string[] = ['NAVIGATE', 'PUSH'];

const hereOf = (state: { routes: readonly AddressStep[]; index?: number }): AddressStep => {
  const { name, params } = state.routes[state.index ?? 0] ?? { name: '' };
  return { name, params };
};

/**
 * The router of pages: the library's own, which has a step in the browser's history for each page alone, with a step for
 * each address.
 */
export const pageRouter = (options: StackRouterOptions): Stack => {
  const stack = StackRouter(options);
  return {
    ...stack,
    getStateForAction: (state: PageState, action, more) => {
      const next = stack.getStateForAction(state, action, more);
      if (!next || next === state) return next;
      const before = state.history ?? [hereOf(state)];
      const here = hereOf(next);
      const history = GOES_ON.includes(action.type) ? stepsAfter(before, here) : stepsReplaced(before, here);
      return { ...next, history: [...history] };
    },
  };
};
