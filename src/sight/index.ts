export { cardIn } from './look';
export type { OpenCv } from './squares';
