/**
 * Those who speak by ICU messages, in one part of the program: the library of messages would come into every first load
 * if two parts asked for it.
 */
export { translatorOf } from '../../core/translate/translator.ts';
export { customerWords } from '../../core/words/customer/customer-words.ts';
