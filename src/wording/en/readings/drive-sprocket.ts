import type { GroupId } from '../../../core/sheet';
import { PITCH, SPROCKET_KIND, TURNS, YES_NO } from './shared';
import type { SomeReadingWords } from './reading-words';

/** Words for what can be said of the drive sprocket. */
export const DRIVE_SPROCKET_WORDS = {
  'driveSprocket.stamp': 'mark on the drive sprocket',
  'driveSprocket.type': { name: 'kind of drive sprocket', field: 'Kind', words: SPROCKET_KIND },
  'driveSprocket.bore': { name: 'bore of the drive sprocket', field: 'Bore' },
  'driveSprocket.splines': {
    name: 'splines of the drive sprocket',
    field: 'Splines, sprocket',
    hint: 'where a rim sits on a hub',
  },
  'driveSprocket.teeth': {
    name: 'teeth of the drive sprocket',
    field: 'Teeth, drive',
    hint: 'drive links taken per turn',
  },
  'driveSprocket.pitch': { name: 'pitch of the drive sprocket', field: 'Pitch marked on it', words: PITCH },
  'driveSprocket.wear': {
    name: 'wear of the drive sprocket',
    hint: 'deepest of all teeth',
    check: 'Wear depth',
    limit: 'Sprocket wear: replace above',
    fail: (value, most) => `The sprocket is worn ${value} deep, the most is ${most}: it would ruin the next chain.`,
    watch: {
      limit: 'Sprocket wear: watch above',
      says: (value, from) => `The sprocket is worn ${value} deep: watch from ${from}.`,
    },
  },
  'driveSprocket.grade': {
    name: 'grade of wear by eye',
    hint: 'against these; a measure counts before the eye',
    words: { none: 'none', light: 'light', deep: 'deep' },
    check: 'Wear by eye',
    says: {
      none: 'By eye the drive sprocket shows no wear.',
      light: 'By eye the drive sprocket is lightly worn: light grooves may be deeper than they look.',
      deep: 'By eye the drive sprocket is deeply worn: it would ruin the next chain.',
    },
  },
  'driveSprocket.chainsRun': {
    name: 'chains that ran on the drive sprocket',
    field: 'Chains run on it',
    hint: 'about two is what one lasts',
  },
  'driveSprocket.rotationSet': {
    name: 'chains that run in turn on the drive sprocket',
    field: 'Chains in rotation',
    hint: 'two or three that wear in turn with it',
  },
  'driveSprocket.drum': {
    name: 'clutch drum',
    words: { ok: 'sound', worn: 'worn' },
    check: 'Drum',
    says: {
      ok: 'The clutch drum is sound.',
      worn: 'The clutch drum is worn: another one goes on with its bearing greased.',
    },
  },
  'driveSprocket.bearing': {
    name: 'bearing of the drive sprocket',
    words: { ok: 'sound', dry: 'dry', worn: 'worn' },
    check: 'Bearing',
    says: {
      ok: 'The bearing is sound.',
      dry: 'The bearing is dry: clean it and grease it a little.',
      worn: 'The bearing is worn: the sprocket wobbles, and the saw vibrates. Renew it.',
    },
  },
  'driveSprocket.clip': {
    name: 'clip of the drive sprocket',
    words: { ok: 'sound', bent: 'bent', missing: 'missing' },
    check: 'Clip',
    says: {
      ok: 'The clip is sound and seated.',
      bent: 'The clip is bent: it no longer holds the sprocket. Renew it.',
      missing: 'The clip is missing: nothing holds the sprocket on its shaft. Renew it.',
    },
  },
  'driveSprocket.reworkDone': 'work done on the drive sprocket',
  'driveSprocket.renewed': {
    name: 'whether a new drive sprocket goes on',
    field: 'A new drive sprocket goes on with the chain',
    words: YES_NO,
  },
  'driveSprocket.replaceDone': {
    name: 'acts of putting another drive sprocket on',
    words: {
      'brake-off': 'Chain brake released: the drum does not come off under it',
      'tension-back': 'Tensioner backed off all the way',
      'clip-off': 'Clip and washer off; look where they fly',
      'drum-off': 'Rim or drum off its shaft',
      'bearing-clean': 'Drum and bearing clean, a little grease into the bearing',
      'pump-lined-up': 'New one on, lined up with the drive of the oil pump',
      'clip-seated': 'Washer and clip on, the clip fully in its groove',
      'turns-freely': 'Turns freely by hand, without wobble',
    },
  },
  'driveSprocket.turns': {
    name: 'whether the drive sprocket turns',
    words: TURNS,
    check: 'Turning',
    says: {
      free: 'The drive sprocket turns freely.',
      rough: 'The drive sprocket turns roughly: clean and grease its bearing.',
      seized: 'The drive sprocket is seized.',
    },
  },
} as const satisfies SomeReadingWords;

/** Groups and lists of them, as one points at them in a sentence. */
export const DRIVE_SPROCKET_PLACES = {
  driveSprocket: 'the drive sprocket',
} as const satisfies Partial<Record<GroupId, string>>;
