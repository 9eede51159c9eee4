import { plural } from '../plural';

// Shops
export const shops = 'Shops';
export const onThisStore = 'Shops on this store';
export const says =
  'Several shops can share this store, each with its own people, jobs, shelf, limits and rates. A saw’s past follows it from shop to shop, and what lies on a sister’s shelf is offered before the supplier.';
export const thisOne = 'this shop';
export const peopleThere = (count: number): string => plural(count, { one: '# person', other: '# people' });
export const shows = 'shows its customers and saws to the others';
export const keepsToItself = 'keeps its customers and saws to itself';
export const workForIt = 'Work for it here';
export const workFor = (shop: string): string => `Work for ${shop} here`;
export const notChanged = 'It was not changed.';
export const bringInFirst = (readings: number): string =>
  `${plural(readings, { one: '# reading waits', other: '# readings wait' })} in this browser to be stored: open those jobs first, then change the shop.`;
export const giveOwner = 'Give it an owner';
export const giveOwnerTo = (shop: string): string => `Give ${shop} an owner`;
export const nobodyCanSignIn = 'nobody can sign in there yet';
export const ownersName = 'The owner’s name';
export const ownersPassword = 'The owner’s first password';
export const tellThem = 'Tell it to them alone; they set another one once they are signed in.';
export const setOwner = 'Make them the owner';
export const ownGear = 'What the others find of this shop';
export const sharesGear = 'The other shops find our customers and their saws';
export const gearSays =
  'Shared: a saw is known in every shop, and whoever takes it in sees what was found elsewhere. A shop that had a saw in keeps knowing it, whatever is chosen later. Jobs, shelf and people are never shared.';
export const writeItDown = 'Write it down';
export const writtenDown = 'It is written down.';
export const addAShop = 'Add a shop';
export const nameOfTheShop = 'Name of the shop';
export const writeItsName = 'Write the name of the shop.';
export const writeOwnersName = 'Write the name of its owner.';
export const itSharesGear = 'The others find its customers and their saws';
export const addIt = 'Add the shop';
export const added = (shop: string): string =>
  `${shop} is on this store. Its shelf, limits and rates are its own; it begins with yours for money, dates and lengths.`;
export const notAdded = 'The shop was not added.';
export const keptBy = (shop: string): string => `${shop} keeps this store`;
export const backupsAreTheirs = 'It holds several shops; its backups are made and put back there.';
