import type { PeopleEvent, Role, SecretProblem } from '../../core/people';
import { PASSWORD_LETTERS, PIN_DIGITS } from '../../core/people';

/** What people are in the shop. */
export const roleWord: Readonly<Record<Role, string>> = {
  technician: 'technician',
  counter: 'counter',
  owner: 'owner',
  reader: 'reader',
};

/** What somebody of a role may do. */
export const roleSays: Readonly<Record<Role, string>> = {
  technician: 'Measures, judges, signs off, teaches codes; takes in and hands over.',
  counter: 'Takes in, sells, orders and hands over. Signs nothing off.',
  owner: 'Everything: limits and rates, people, backups, what the shop says of itself.',
  reader: 'Sees the saws of one customer and what is due of them. Changes nothing.',
};

/** What is wrong with a password or a PIN, and what would be right. */
export const secretSays: Readonly<Record<'password' | 'pin', Readonly<Record<SecretProblem, string>>>> = {
  password: {
    'too-short': `A password has ${PASSWORD_LETTERS.least} letters or more: three or four words are easy to keep.`,
    'too-long': `A password has at most ${PASSWORD_LETTERS.most} letters.`,
    common: 'This password is among those that are tried first. Take words that do not belong together.',
    'own-name': 'This password begins with the name it belongs to. Take another.',
    'not-digits': 'Take another password.',
    'too-plain': 'This password has too few different letters. Take words that do not belong together.',
  },
  pin: {
    'too-short': `A PIN has ${PIN_DIGITS.least} to ${PIN_DIGITS.most} digits.`,
    'too-long': `A PIN has ${PIN_DIGITS.least} to ${PIN_DIGITS.most} digits.`,
    common: 'Take another PIN.',
    'own-name': 'Take another PIN.',
    'not-digits': `A PIN has digits alone, ${PIN_DIGITS.least} to ${PIN_DIGITS.most} of them.`,
    'too-plain': 'Digits that are all alike, or that follow one another, are tried first. Take another PIN.',
  },
};

/** What happened with people, in a sentence. */
export const peopleEventSays: Readonly<Record<PeopleEvent, (about: string, detail: string) => string>> = {
  'person-added': (about, role) => `${about} was added as ${role}.`,
  'role-set': (about, role) => `${about} became ${role}.`,
  'person-left': (about) => `${about} is here no more.`,
  'person-back': (about) => `${about} is here again.`,
  'password-set': (about) => `The password of ${about} was set.`,
  'pin-set': (about) => `The PIN of ${about} was set.`,
  'pin-taken': (about) => `The PIN of ${about} was taken away.`,
  'signed-in': (about, device) => `${about} signed in with ${device}.`,
  'took-over': (about, device) => `${about} took over the bench with ${device}.`,
  'signed-out': (about) => `${about} signed out.`,
  'wrong-password': (about) => `A wrong password was given for ${about}.`,
  'wrong-pin': (about) => `A wrong PIN was given for ${about}.`,
  'session-revoked': (about, device) => `${about} was signed out of ${device}.`,
  'token-made': (about, role) => `The token “${about}” was made for a program (${role}).`,
  'token-revoked': (about) => `The token “${about}” was revoked.`,
  'owner-recovered': (about) => `${about} was made owner with a new password, by command on the machine.`,
};

/** What a device is called where its browser does not say. */
export const unnamedDevice = 'a browser that does not say what it is';
export const deviceName = (browser: string, system: string): string => `${browser} on ${system}`;
