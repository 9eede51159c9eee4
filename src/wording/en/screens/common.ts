// What several rooms say
export const theServerCannotBeReached = 'The server cannot be reached.';
export const notStored = 'It was not stored. Try again.';
export const replaceTheSprocket = 'Replace the sprocket, in this order';
export const putItOnTheBench = 'Put it on the bench';
export const practitionersDisagree = 'Practitioners disagree';

export const notInTheList = 'not in the list';
export const columnOfList = (number: number): string => `column ${number}`;
