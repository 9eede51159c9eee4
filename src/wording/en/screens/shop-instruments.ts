// Instruments
export const everyReadingCarriesTheDoubt =
  'Every reading carries the doubt of its tool and of the hand that placed it. Where nobody has measured them they are common practice; a study of a hand with its tool takes their place in all readings of that hand.';
export const itWasNotSetAside = 'It was not set aside. Try again.';
export const setAsideBy = (by: string): string => `· set aside by ${by}`;
export const setAside = 'Set aside';

// StudyForm
export const theStudyWasNotStored = 'The study was not stored. What you typed is still here.';
export const studyAHand = 'Study a hand and its tool';
export const caliper = 'Caliper';
export const tenTakesOfOnePlace =
  'Ten takes of one place, or of a block of known size: lay the tool down between them, and read each as if it were the first.';
export const tool = 'Tool';
export const sizeOfTheBlock = 'Size of the block, if known';
export const itsDoubtStandard = 'Its doubt (standard)';
export const note = 'Note';
export const storeTheStudy = 'Store the study';
export const oneMoreTake = 'One more take';
export const sayWhoIsHereFirst = 'Say who is here first: a study is of one person’s hand.';
export const ofTheHand = (who: string): string => `Of the hand of ${who}.`;
export const storedItCountsFromNow = 'Stored: it counts from now on.';
export const theTakesAreDrawnHere = 'The takes are drawn here as they come.';
export const takeNumbered = (index: number): string => `Take ${index}`;
