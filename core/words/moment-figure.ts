import { t } from '../translate/translate.ts';
import { dayOf, weekdayOf } from '../time/calendar.ts';

const DAYS = [t('Mon'), t('Tue'), t('Wed'), t('Thu'), t('Fri'), t('Sat'), t('Sun')];
const MONTHS = t('Jan Feb Mar Apr May Jun Jul Aug Sep Oct Nov Dec').split(' ');

/** A date as 'Mon 30 Nov'. */
export const dayFigure = (date: string): string => {
  const [, month = 1, day = 1] = date.split('-').map(Number);
  return `${DAYS[weekdayOf(dayOf(date)) - 1] ?? ''} ${day} ${MONTHS[month - 1] ?? ''}`;
};

/** A date, or an instant as the clocks of its own offset show it: 'Mon 30 Nov', 'Mon 30 Nov, 09:00'. */
export const momentFigure = (moment: string): string => {
  const day = dayFigure(moment.slice(0, 10));
  return moment.length > 10 ? `${day}, ${moment.slice(11, 16)}` : day;
};
