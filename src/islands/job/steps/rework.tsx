export { Rework as default } from '../rework/Rework';
