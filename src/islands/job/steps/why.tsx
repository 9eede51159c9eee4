export { WhyStep as default } from '../why/WhyStep';
