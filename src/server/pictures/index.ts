export { measurePicture, type AskedOfPicture } from './measure';
