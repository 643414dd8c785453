/**
 * What getting an order there costs, out of a shop's rate book: the package `emporos-core`.
 *
 * A book and a catalogue are read (`readBook`, `readCatalogue`), made ready once (`compile`) and asked any number of
 * times (`quote`). Amounts are integers in minor units; nothing here reads a clock or a network.
 */

export { audit } from './audit/audit.ts';
export { checkDraft, type DraftCheck } from './check/check-draft.ts';
export { editionFileText, readEditionFile, type Digest, type EditionFile } from './formats/edition-file.ts';
export type { Edition } from './formats/edition.ts';
export { readBook, readCatalogue, readJson, readRequest, readTestOrders } from './formats/read.ts';
export type { Book } from './model/book.ts';
export type { CarrierAnswer, CarrierQuestion } from './model/carrier.ts';
export type { Fault, FaultCode, Result } from './model/fault.ts';
export type { Catalogue, Good } from './model/good.ts';
export type { Language } from './model/language.ts';
export type { PastOrder } from './model/order.ts';
export type { Destination } from './model/place.ts';
export type { Problem } from './model/problem.ts';
export type { Choice, Notice, Parcel, Quote, Withheld, WithheldCode, WorkingLine } from './model/quote.ts';
export type { Line, QuoteRequest } from './model/request.ts';
export type { TestOrder } from './model/test-order.ts';
export { withSubdivision } from './place/subdivision-of-code.ts';
export { compile, type Ask, type CompiledBook } from './quote/compile.ts';
export { makeParts, type CompiledParts, type PartsOptions } from './quote/compiled-parts.ts';
export { carrierQuestions } from './quote/questions.ts';
export { measureOrder, quote, requestFaults, type MeasuredOrder } from './quote/quote.ts';
export { replay, type Replay } from './replay/replay.ts';
export { customerWords, type CustomerWords } from './words/customer/customer-words.ts';
export { customerLanguages, inLanguage } from './words/customer/own-texts.ts';
export { toldReason } from './order/obstacles.ts';
export { faultSentence, locatedSentence } from './words/fault-sentence.ts';
