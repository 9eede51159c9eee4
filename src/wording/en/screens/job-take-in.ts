// take-in
export const takeIn = 'Take in';
export const takenInBy = (name: string, contact: string, createdBy: string): string =>
  `${name}${contact} · taken in by ${createdBy}`;
export const beforeStripping =
  'Before stripping: battery or spark lead off, gloves on, chain brake off. A worn bar edge cuts like a knife.';
export const theSaw = 'The saw';
export const inTheCustomersWords = 'In the customer’s words';
export const itsPast = 'What is on it, and its past';

export const returning = 'Parts that come again';
export const returningHint =
  'What earlier jobs let foresee for today, by wear and the hours since. It counts once you say that a part is the same; a reading that contradicts it counts alone.';
export const foreseenFrom = (look: string): string => `Foreseen from ${look}.`;
