import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../core/translate/translate.ts';
import type { ToDo } from '../../../core/begin/still-to-do.ts';
import { toDoSentence } from '../../../core/begin/to-do-sentence.ts';
import type { Address } from '../../parts/address-text.ts';
import { LinkPress } from '../../parts/link-press.tsx';
import { Section } from '../../parts/section.tsx';
import { useAppSelector } from '../../state/store.ts';
import { useStyles } from '../../theme/styles.ts';
import { note } from '../../theme/text.ts';
import { SANS_STRONG, TOUCH, type Inks } from '../../theme/tokens.ts';
import { selectToDos } from './to-do-selectors.ts';

const styles = (inks: Inks) => ({
  row: {
    minHeight: TOUCH,
    paddingVertical: 8,
    borderBottomWidth: 1,
    borderBottomColor: inks.hairline,
  } as const,
  what: { fontFamily: SANS_STRONG, textDecorationLine: 'underline' } as const,
  why: note(inks),
});

const locations: Address = { pathname: '/settings', params: { part: 'locations' } };
const missing: Address = { pathname: '/goods', params: { only: 'missing' } };
const testOrders: Address = { pathname: '/check', params: { part: 'testOrders' } };

/** Where each thing is done. */
const PAGES: Record<ToDo['code'], Address> = {
  'no-products': '/goods',
  'no-weight': missing,
  'no-size': missing,
  'no-hours': locations,
  'no-point': locations,
  'nothing-expected': testOrders,
  'tests-fail': testOrders,
  'not-published': { pathname: '/check', params: { part: 'publish' } },
};

/** What the shop still needs, each leading to where it is done; nothing once all is done. */
export const ToDoList = () => {
  const style = useStyles(styles);
  const todos = useAppSelector(selectToDos);
  if (todos.length === 0) return null;
  return (
    <View>
      <Section title={t('Still to do')} />
      <View role="list" aria-label={t('Still to do')}>
        {todos.map((todo) => {
          const { what, why } = toDoSentence(todo);
          return (
            <View role="listitem" key={what}>
              <LinkPress to={PAGES[todo.code]} aria-label={what}>
                <View style={style.row}>
                  <Text style={style.what}>{what}</Text>
                  <Text style={style.why}>{why}</Text>
                </View>
              </LinkPress>
            </View>
          );
        })}
      </View>
    </View>
  );
};
