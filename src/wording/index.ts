/** Reason codes → sentences. English is the one language so far; another would stand beside `en`. */
export * from '#language';
export * from './assessment';
export {
  amountText,
  calendarDay,
  currencySign,
  decimalsOf,
  money,
  plainDay,
  shopDay,
  shopMoment,
  wholeNumber,
} from './shop-format';
export { fileSize } from './file-size';
export { plansDocument, plansText } from './plans';
export { handOverDocument } from './hand-over';
export { pictureDocument, type MeasuredPicture } from './picture';
