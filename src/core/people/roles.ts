/**
 * What somebody may do. A technician measures, judges and signs; the counter takes in, sells and hands over; an owner
 * also says what the shop is, judges by, and who may; a reader sees the saws of one customer, and changes nothing.
 */
export const ROLES = ['technician', 'counter', 'owner', 'reader'] as const;
export type Role = (typeof ROLES)[number];

/** Why a session has ended. */
export const SESSION_ENDS = [
  'signed-out',
  'taken-over',
  'anew',
  'revoked',
  'password-set',
  'left',
  'put-back',
] as const;
export type SessionEnd = (typeof SESSION_ENDS)[number];

/** What happens with people, their sessions and the tokens of other programs. */
export const PEOPLE_EVENTS = [
  'person-added',
  'role-set',
  'person-left',
  'person-back',
  'password-set',
  'pin-set',
  'pin-taken',
  'signed-in',
  'took-over',
  'signed-out',
  'wrong-password',
  'wrong-pin',
  'session-revoked',
  'token-made',
  'token-revoked',
  'owner-recovered',
] as const;
export type PeopleEvent = (typeof PEOPLE_EVENTS)[number];
