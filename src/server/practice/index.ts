/** Practice: rounds on sets with known truth, what comes again, and how somebody does. */
export { answerRound, beginRound, giveHint, nextRound, takeReading } from './rounds';
export { pocketPaper, resultPaper } from './papers';
export { practiceView, roundPageView } from './progress';
