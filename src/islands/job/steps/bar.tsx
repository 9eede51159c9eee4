export { BarStep as default } from '../bar/BarStep';
