export { Identify as default } from '../identify/Identify';
