import {
  act,
  fireEvent,
  screen,
  waitFor,
  waitForElementToBeRemoved,
  within,
} from '@testing-library/react-native';
import { edit } from '../../state/draft.ts';
import { shopServed } from '../../state/session.ts';
import { choose, fill, openCheckout, typeAddress } from '../../testing/checkout.tsx';
import { renderOver } from '../../testing/store.tsx';
import Shopfront from './shopfront.tsx';

jest.setTimeout(60_000);

describe('the basket', () => {
  test('says what delivery costs as soon as a code is known, and the checkout begins from it', async () => {
    jest.setSystemTime(new Date('2026-11-24T14:15:00Z'));
    const store = await openCheckout(['pot-26']);
    screen.unmount();
    renderOver(store, <Shopfront page="basket" />);
    const check = within(screen.getByLabelText('What does delivery cost?'));
    check.getByText('Write the whole code and we will say.');
    fill('Your postal code', 'B2G 2L2');
    const answer = await check.findByText(/^Reaches you by .* for \d+\.\d\d/);
    const charge = / for (\d+\.\d\d)/.exec(String(answer.props.children))?.[1] ?? '';
    screen.unmount();
    renderOver(store, <Shopfront page="checkout" />);
    expect(screen.getByLabelText('Postal code').props.value).toBe('B2G 2L2');
    await screen.findByLabelText(`Parcel, ${charge}`);
    fill('Postal code', 'B3H 4R2');
    screen.unmount();
    renderOver(store, <Shopfront page="basket" />);
    expect(screen.getByLabelText('Your postal code').props.value).toBe('B3H 4R2');
  });
});

describe('the checkout', () => {
  test('asks who collects for a name and a way to be reached, and for no street', async () => {
    jest.setSystemTime(new Date('2026-11-24T13:00:00Z'));
    const store = await openCheckout(['pot-26']);
    fireEvent.press(screen.getByText('I collect it'));
    expect(screen.queryByLabelText('Street and number')).toBeNull();
    await screen.findByLabelText(/^Collect at the Nursery, free/);
    expect(screen.queryByLabelText(/^Parcel, /)).toBeNull();
    fill('Full name', 'Ines Varga');
    fill('Phone', '902 555 0123');
    fireEvent.press(screen.getAllByLabelText(/^\d\d:\d\d–\d\d:\d\d/)[0] as never);
    fireEvent.press(screen.getByText('Place the order'));
    await waitFor(() => expect(store.getState().orders).toHaveLength(1));
    const [order] = store.getState().orders;
    expect(order).toMatchObject({
      contact: { phone: '902 555 0123' },
      chosen: { kind: 'pickup', of: { pickupId: 'nursery-yard' } },
    });
    // The products change hands at the nursery, and are taxed as there.
    expect(order?.request.destination).toMatchObject({ country: 'CA', subdivision: 'CA-NS' });
    expect(order?.sums?.taxes).toBeGreaterThan(0);
  });

  test('fills in the region of a code, and proposes it where another is chosen', async () => {
    await openCheckout(['pot-26']);
    fill('Postal code', 'B2G 2L2');
    await screen.findByDisplayValue('Nova Scotia');
    await choose('Province or territory', 'ontario', 'Ontario');
    await screen.findByText('“B2G 2L2” is in Nova Scotia, not in Ontario.');
    fireEvent.press(screen.getByText('Use Nova Scotia'));
    await screen.findByLabelText(/^Parcel, /);
    await waitForElementToBeRemoved(() => screen.queryByText(/not in Ontario/));
  });

  test('lists only countries that are sold to, and says at once that a region is closed', async () => {
    const store = await openCheckout(['pot-26']);
    act(() => void store.dispatch(shopServed('draft')));
    act(() => void store.dispatch(edit('openSubdivision', { subdivision: 'CA-ON', open: false }, 'close')));
    fireEvent.changeText(screen.getByLabelText('Country'), 'cuba');
    expect(screen.queryByText('Cuba')).toBeNull();
    fireEvent.changeText(screen.getByLabelText('Country'), 'germ');
    expect(screen.getByText('Germany')).toBeTruthy();
    await choose('Country', 'canada', 'Canada');
    await choose('Province or territory', 'ontario', 'Ontario');
    await screen.findByText('We do not sell to Ontario.');
  });

  test('keeps what was typed while the customer looks at the basket again', async () => {
    const store = await openCheckout(['pot-26']);
    await typeAddress();
    screen.unmount();
    renderOver(store, <Shopfront page="checkout" />);
    expect(screen.getByDisplayValue('4 Tide Lane')).toBeTruthy();
    expect(screen.getByDisplayValue('ines@example.org')).toBeTruthy();
  });
});
