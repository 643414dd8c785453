import type { CarrierAnswer } from '../../../core/model/carrier.ts';
import type { QuoteRequest } from '../../../core/model/request.ts';
import type { TestOrder } from '../../../core/model/test-order.ts';
import type { Workbook } from '../workbook.ts';
import { freeId, moveItem } from '../../../core/model/ids.ts';
import { setFields } from './set-fields.ts';

/** Those that stand with a test order in the list: under its heading, pinned or not as it is. */
const standingWith = (testOrders: readonly TestOrder[], id: string): TestOrder[] => {
  const own = testOrders.find((one) => one.id === id);
  const placed = ({ group = '', pinned = false }: TestOrder): string => `${String(pinned)} ${group}`;
  return own ? testOrders.filter((one) => placed(one) === placed(own)) : [];
};

/** Changes to the test orders. Each changes the workbook it is given, which is a draft of the state. */
export const testOrderEdits = {
  /** Some fields of a test order's order; a field given as undefined is taken out. Answers that were kept are to another order. */
  setRequest: (
    { testOrders }: Workbook,
    { id, changes }: { id: string; changes: Partial<QuoteRequest> },
  ): void => {
    const testOrder = testOrders.find((one) => one.id === id);
    setFields(testOrder?.request, changes);
    delete testOrder?.answers;
  },

  /** What the carriers are taken to answer to a test order; without any they are asked each time. */
  setAnswers: (
    { testOrders }: Workbook,
    { id, answers }: { id: string; answers: CarrierAnswer[] | undefined },
  ): void => {
    setFields(
      testOrders.find((one) => one.id === id),
      { answers },
    );
  },

  /** What a test order should give. */
  setExpects: (
    { testOrders }: Workbook,
    { id, expects }: { id: string; expects: TestOrder['expects'] },
  ): void => {
    const testOrder = testOrders.find((one) => one.id === id);
    if (testOrder) testOrder.expects = expects;
  },

  /** Whether a test order is pinned, and under which heading it stands; a heading of '' is none. */
  placeTestOrder: (
    { testOrders }: Workbook,
    { id, pinned, group }: { id: string; pinned?: boolean; group?: string },
  ): void => {
    const testOrder = testOrders.find((one) => one.id === id);
    if (!testOrder) return;
    if (pinned !== undefined) testOrder.pinned = pinned;
    if (testOrder.pinned === false) delete testOrder.pinned;
    if (group !== undefined) testOrder.group = group;
    if (testOrder.group === '') delete testOrder.group;
  },

  /** Up or down by one of those that stand with it: under its heading, pinned or not as it is. */
  moveTestOrder: ({ testOrders }: Workbook, { id, by }: { id: string; by: number }): void => {
    const beside = standingWith(testOrders, id);
    const other = beside[beside.findIndex((one) => one.id === id) + Math.sign(by)];
    const placeOf = (wanted: string): number => testOrders.findIndex((one) => one.id === wanted);
    if (other) moveItem(testOrders, id, placeOf(other.id) - placeOf(id));
  },

  /** Test orders out of a file beside those that are here; one with an id that is here takes its place. */
  takeTestOrders: (workbook: Workbook, { testOrders }: { testOrders: readonly TestOrder[] }): void => {
    const taken = new Map(testOrders.map((testOrder) => [testOrder.id, testOrder]));
    const known = new Set(workbook.testOrders.map(({ id }) => id));
    workbook.testOrders = [
      ...workbook.testOrders.map((testOrder) => taken.get(testOrder.id) ?? testOrder),
      ...testOrders.filter(({ id }) => !known.has(id)),
    ];
  },

  renameTestOrder: ({ testOrders }: Workbook, { id, name }: { id: string; name: string }): void => {
    const testOrder = testOrders.find((one) => one.id === id);
    if (testOrder) testOrder.name = name;
  },

  /** A test order once more, after it, without what it should give: the copy is there to be changed. */
  copyTestOrder: ({ testOrders }: Workbook, { id, name }: { id: string; name: string }): void => {
    const at = testOrders.findIndex((one) => one.id === id);
    const source = testOrders[at];
    if (!source) return;
    const copy: TestOrder = {
      id: freeId(name, testOrders),
      name,
      request: JSON.parse(JSON.stringify(source.request)),
      expects: [],
    };
    testOrders.splice(at + 1, 0, copy);
  },

  /** A new test order after all others. */
  addTestOrder: ({ testOrders }: Workbook, { testOrder }: { testOrder: Omit<TestOrder, 'id'> }): void => {
    testOrders.push({ ...testOrder, id: freeId(testOrder.name, testOrders) });
  },

  removeTestOrder: (workbook: Workbook, { id }: { id: string }): void => {
    workbook.testOrders = workbook.testOrders.filter((testOrder) => testOrder.id !== id);
  },
};
