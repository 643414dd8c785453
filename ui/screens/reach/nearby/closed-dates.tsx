import { t } from '../../../../core/translate/translate.ts';
import { datesText } from '../../../../core/formats/dates-typed.ts';
import { DraftField } from '../../../fields/draft-field.tsx';
import { readDates } from '../../../fields/readers.ts';

interface Props {
  dates: readonly string[] | undefined;
  /** The location, whose own closed dates count too. */
  location: string;
  onChange: (dates: string[] | undefined, visit: string | null) => void;
}

/** The dates on which an area or a pickup point is closed besides its location. */
export const ClosedDates = ({ dates = [], location, onChange }: Props) => (
  <DraftField
    label={t(
      'Closed on, besides when {location} is: dates such as 2026-12-25, ranges such as 2026-12-24 to 2026-12-26',
      { location },
    )}
    placeholder={t('no other dates')}
    text={datesText(dates)}
    read={readDates}
    onChange={(next, visit) => onChange(next.length === 0 ? undefined : next, visit)}
  />
);
