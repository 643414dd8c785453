import type { Trial } from '../../core/model/trial.ts';
import { BasketEditor } from './basket-editor.tsx';
import { CustomerEditor } from './customer-editor.tsx';
import { MomentEditor } from './moment-editor.tsx';
import { PlaceEditor } from './place-editor.tsx';

/** Everything about a trial's order, edited in place: where, what, when and by whom. */
const TrialEditors = ({ trial }: { trial: Trial }) => (
  <>
    <PlaceEditor key={trial.id} trial={trial} />
    <BasketEditor key={`${trial.id}-basket`} trial={trial} />
    <MomentEditor key={`${trial.id}-moment`} trial={trial} />
    <CustomerEditor key={`${trial.id}-customer`} trial={trial} />
  </>
);

export default TrialEditors;
