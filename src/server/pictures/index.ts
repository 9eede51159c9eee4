export { askedOfPicture } from './asked';
export { measurePicture, type AskedOfPicture } from './measure';
