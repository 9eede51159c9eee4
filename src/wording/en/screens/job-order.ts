// Several of them
export const lookingOnTheShelf = 'Looking on the shelf…';

// JobParts
export const notBooked = 'It was not booked: try again.';
export const partsOfThePlan = 'Parts of the plan';
export const theShelfDidNotAnswer = 'The shelf did not answer. Try again in a moment.';
export const takenAndThePlanNeeds = (pieces: number): string => `${pieces} taken, and the plan needs it no more.`;
export const putBack = 'Put back';
export const thePlanThatWasSigned = 'The plan that was signed takes no new part.';
export const noPlanIsSignedYet =
  'No plan is signed yet: under Decide choose one and sign it off, then its parts are taken or ordered here.';
export const takeIt = 'Take it';
export const orderAgain = 'Order again';
export const order = 'Order it';
export const itIsHere = 'It is here';
export const askTheSupplier = 'Ask the supplier';
export const callItOff = 'Call it off';
export const onTheShelf = (left: number): string => `· ${left} on the shelf`;
export const dueOn = (day: string): string => `due ${day}`;

// OrderedParts
export const otherPartsToReplace = 'Other parts to replace';
export const stockDidNotAnswer = 'The stock list did not answer. Try again in a moment.';
export const orderNamed = (named: string): string => `Order: ${named}`;
export const nothingComesNear = 'Nothing on the shelf comes near: order by these.';

// StockAnswers
export const mayFit = '○ may fit';
export const equalAndHere = (list: string): string => `; equal and here: ${list}`;
/** Where a part lies that is not here. */
export const liesAt = (shop: string): string => `on the shelf of ${shop}: ask them before you order`;
export const hasItOnTheShelf = (shop: string, pieces: number, as: string | null): string =>
  `${shop} has ${pieces} on its shelf${as === null ? '' : `, there called ${as}`}: ask them before you order`;
export const left = (quantity: number): string => `${quantity} left`;
export const fits = '● fits';
export const near = '◐ near';

// order
export const orderSlip = 'Order slip';
export const pageToPrint = 'Page to print';
export const noOrderYet = 'No order yet';
export const theDriveSprocketIsPast = 'The drive sprocket is past its limit';
export const newChainWouldBeRuined = 'A new chain on it would be ruined: no chain is ordered alone.';
export const pitch = 'Pitch';
export const gauge = 'Gauge';
export const driveLinks = 'Drive links';
export const kickbackClass = 'Kickback class:';
export const toBeAsked = 'to be asked';
export const sequence = 'Sequence:';
export const notCounted = 'cutters not counted';
export const standardOnlyRecorded = '. Standard chain only by an explicit, recorded choice.';
export const standardChainAllTheSame = 'Standard chain all the same?';
export const inStock = 'In stock';
export const stockDidNotAnswerNumbersHold = 'The stock list did not answer. The three numbers above hold all the same.';
export const nothingComesNearOrderByNumbers = 'Nothing on the shelf comes near: order by the three numbers.';
