import type { Role } from '../../core/people';
import { roleWord } from './people';
import { plural } from './plural';

/** Why somebody is not let in, or not let do something, and what would be right. */
export const signInFirst = 'Sign in first.';
export const tokenDoesNotCount = 'This token does not count: it was revoked, has run out, or is of another shop.';
export const notForRole = (role: Role, roles: readonly Role[]): string =>
  `This is for ${roles.map((each) => roleWord[each]).join(', ')}; you are signed in as ${roleWord[role]}.`;
export const noOwnerAnyMore =
  'This store has no owner who can sign in, and the network can reach it: nobody is let in. On the machine, npm run serrata -- owner NAME makes one.';
export const doNotGoTogether = 'Name and password do not go together.';
export const tooManyTries = (seconds: number): string =>
  seconds < 90
    ? `Too many wrong tries. Wait ${plural(seconds, { one: '# second', other: '# seconds' })}, then try again.`
    : `Too many wrong tries. Wait ${plural(Math.ceil(seconds / 60), { one: '# minute', other: '# minutes' })}, then try again.`;
export const pinIsWrong = (left: number): string =>
  left > 0
    ? `This is not the PIN. ${plural(left, { one: '# try', other: '# tries' })} left, then only the password helps.`
    : 'This is not the PIN, and it counts no more: sign in with the password.';
export const pinCountsNoMore = 'This PIN was given wrongly too often: sign in with the password. It counts again then.';
export const hasNoPin = (name: string): string => `${name} has no PIN yet: sign in with the password.`;
export const nobodySignsIn = 'Nobody has a password here yet: whoever is at this machine says who they are.';
export const byTokenAlone = 'This is for a program that shows a token: an owner makes one under Shop, People.';
export const passwordFirst = 'This asks for a session that began with the password. Sign in again with it.';
export const oldPasswordIsWrong = 'This is not your password.';
export const beginWithAnOwner = 'The first password is an owner’s: nobody could give out the others.';
export const lastOwner = 'This is the last owner with a password: make another one first.';
export const readerNeedsCustomer = 'A reader sees the saws of one customer: say which.';
export const nameIsTaken = (name: string): string => `${name} is at the bench already.`;
export const notHereAnyMore = (name: string): string => `${name} is here no more: bring them back first.`;
