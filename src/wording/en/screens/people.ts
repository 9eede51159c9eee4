import { PASSWORD_LETTERS, PIN_DIGITS } from '../../../core/people';
import { plural } from '../plural';

// SignInPage
export const signIn = 'Sign in';
export const name = 'Name';
export const password = 'Password';
export const signingIn = 'Signing in…';
export const notSignedIn = 'Nobody was signed in.';
export const forgotten =
  'An owner gives out passwords under Shop, People. Where no owner can sign in, whoever runs the machine makes one: npm run serrata -- owner NAME.';
export const writeTheName = 'Write the name that you have in the shop.';
export const writeThePassword = 'Write the password.';

// WhoDialog
export const whoIsHere = (name: string): string => `${name} is here`;
export const signedInAs = (name: string, role: string): string => `${name}, ${role}`;
export const takeOver = 'Take over';
export const takingOver = 'Taking over…';
export const notTakenOver = 'The bench was not taken over.';
export const whoTakesOver = 'Who takes over?';
export const pinOf = (name: string): string => `PIN of ${name}`;
export const takeADigitBack = 'Take a digit back';
export const nobodyHasAPin =
  'Nobody else has a PIN yet. Each sets one here, once they are signed in; then a bench changes hands in two seconds.';
export const signOut = 'Sign out';
export const notSignedOut = 'Nobody was signed out.';
export const passwordAndPin = 'Password and PIN';
export const yourPassword = 'Your password';
export const newPassword = 'New password';
export const newPasswordHint = `${PASSWORD_LETTERS.least} letters or more. Words that do not belong together are easiest to keep.`;
export const newPin = `New PIN, ${PIN_DIGITS.least} to ${PIN_DIGITS.most} digits`;
export const setPassword = 'Set the password';
export const setPin = 'Set the PIN';
export const takePinAway = 'Take the PIN away';
export const passwordIsSet = 'The password is set. Your other browsers are signed out.';
export const pinIsSet = 'The PIN is set.';
export const pinIsGone = 'The PIN is taken away.';
export const notSet = 'It was not set.';

// SignedOut
export const signedOutMeanwhile = 'You are signed out: your session has ended. What you typed is kept in this browser.';
export const signInAgain = 'Sign in again';

// 403
export const notForYou = 'Not for you';
export const notForYouHere = 'This is not yours to see';
export const whyNot = 'What you are in the shop does not let you in here. An owner can change that under Shop, People.';
export const onward = 'To where you may';

// ForRole
export const changedBy = {
  owner: 'An owner changes this. You can look at all of it.',
  judging: 'A technician or an owner changes this. You can look at all of it.',
} as const;

// People
export const people = 'People';
export const nobodySignsIn =
  'Nobody signs in yet: whoever is at this machine says who they are, and the network is shut out. With the first password, an owner’s, everybody signs in from then on, and Serrata can be opened to the shop’s own network.';
export const firstOwner = 'Give the first owner a password';
export const whoIsOwner = 'Who is the owner';
export const beginSigningIn = 'Let people sign in';
export const addSomebody = 'Add somebody';
export const add = 'Add';
export const notAdded = 'Nobody was added.';
export const role = 'Role';
export const customer = 'Customer';
export const chooseCustomer = 'Choose a customer';
export const noCustomerYet = 'Type the beginning of the customer’s name';
export const hasPassword = 'password';
export const hasPin = 'PIN';
export const hasNothing = 'cannot sign in yet';
export const left = 'is here no more';
export const change = (name: string): string => `Change ${name}`;
export const changeIt = 'Change';
export const givePassword = (name: string): string => `Give ${name} a password`;
export const givePasswordShown = 'Give a password';
export const saveIt = 'Save';
export const notChanged = 'Nothing was changed.';
export const isHereNoMore = 'Is here no more';
export const tellThem = 'Tell them, and have them set another under their own name at the top of the page.';

// Sessions
export const signedIn = 'Signed in now';
export const nobodyIsSignedIn = 'Nobody is signed in.';
export const thisOne = 'this one';
export const byPin = 'by PIN';
export const byPassword = 'by password';
export const seenLast = (moment: string): string => `heard of ${moment}`;
export const revoke = 'Sign out';
export const revokeOf = (name: string, device: string): string => `Sign ${name} out of ${device}`;
export const notRevoked = 'It was not revoked.';

// Tokens
export const programs = 'Other programs';
export const programsSay =
  'A token lets a program in: it can do what its role may, under its own name. It is shown once.';
export const whatProgramsMayAsk = 'What programs may ask for';
export const makeAToken = 'Make a token';
export const nameOfProgram = 'What it is for';
export const countsDays = 'Counts for days';
export const makeIt = 'Make it';
export const notMade = 'No token was made.';
export const theToken = 'The token. It is not shown again:';
export const noToken = 'No program has a token.';
export const countsUntil = (day: string): string => `until ${day}`;
export const hasRunOut = 'has run out';
export const isRevoked = 'revoked';
export const revokeToken = (name: string): string => `Revoke ${name}`;
export const revokeIt = 'Revoke';
export const madeBy = (by: string): string => `made by ${by}`;

// Audit
export const audit = 'Who did what';
export const by = 'Who';
export const anybody = 'Anybody';
export const about = 'About';
export const anything = 'Anything';
export const aboutWords = { people: 'people', jobs: 'jobs', stock: 'stock', gear: 'gear', shop: 'the shop' } as const;
export const from = 'From';
export const until = 'Until';
export const asCsv = 'As CSV';
export const further = 'Look further back';
export const looking = 'Looking…';
export const nothingFound = 'Nothing of this kind is in the records that were looked at.';
export const when = 'When';
export const what = 'What';
export const auditFailed = 'The records could not be looked at.';
export const rowsShown = (count: number): string => plural(count, { one: '# record', other: '# records' });
