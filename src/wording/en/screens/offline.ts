// The bar that says that the shop is away
export const away = 'The shop is away';
export const awaySince = (moment: string): string => `The shop cannot be reached since ${moment}.`;
export const goesOnHere =
  'Measuring, judging, planning and dressing go on here; readings and pictures are kept, and brought in by themselves. Booking parts, signing off and handing over wait for the shop.';
export const whatIsKept = 'What is kept here';

export const keptWithoutShop = 'What this browser keeps for when the shop cannot be reached';

// A job without the shop
export const asSeen = (moment: string): string => `This job as the shop told it last, ${moment}.`;
export const jobIsNotKept = 'This job is not kept in this browser';
export const openItWithTheShop =
  'A job is kept once it was opened here, or stood on the Bench. Try again when the shop can be reached.';

// What is kept
export const kept = 'Kept in this browser';
export const keptSays = 'What this browser has when the shop cannot be reached. It is wiped when somebody signs out.';
export const jobs = 'Jobs';
export const stock = 'Stock';
export const limits = 'Limits';
export const noJobsKept = 'No job is kept yet';
export const openTheBench = 'Open the Bench once while the shop can be reached.';
export const seenAt = (moment: string): string => `seen ${moment}`;
export const stockSeenAt = (moment: string): string =>
  `The shelf as it stood ${moment}. What was taken since is not known here.`;
export const noStockKept = 'The shelf was not seen yet.';
export const part = 'Part';
export const pieces = 'On the shelf';
export const limit = 'Limit';
export const value = 'Value';
export const source = 'Source';
export const takes = (used: string, quota: string): string => `Takes ${used} of the ${quota} that this browser gives.`;
export const isPersistent = 'The browser throws none of it away by itself.';
export const mayBeThrownAway =
  'The browser may throw it away when its disk is full; what was typed and is not in the shop yet too.';
export const askForPersistence = 'Ask it to keep all';
export const readingsWait = (count: number): string => (count === 1 ? '1 reading waits' : `${count} readings wait`);
export const picturesWait = (count: number): string => (count === 1 ? '1 picture waits' : `${count} pictures wait`);
export const install = 'Install Serrata on this device';
export const pictureWaits = 'kept here, brought in with the shop';
export const plansMadeHere = (moment: string): string =>
  `Planned in this browser, with the shelf as it stood ${moment}. A plan is signed when the shop can be reached.`;
export const shelfAsSeen = (moment: string): string => `The shelf as it stood ${moment}; the shop cannot be asked now.`;
export const megabytes = (count: string): string => `${count} MB`;
export const handingOverWaits =
  'A job is handed over when the shop can be reached: what the customer is given is written there. What is measured and done meanwhile is kept.';
export const bookingWaits = 'Parts are taken from the shelf and ordered when the shop can be reached.';
export const shelfWaits = 'The shelf is asked for them when the shop can be reached.';
