import type { ChainOrder, Danger, FaultId, Level, Mark, Theme } from '../../core/practice';
import { familyLabel, gaugeLabel, kickbackClassWord, partName } from './labels';
import { sentence } from './sentence';

/** What may be wrong with a set, as a learner names it. */
export const faultName: Readonly<Record<FaultId, string>> = {
  'rails-stepped': 'One rail is lower than the other',
  'groove-splayed': 'The groove is splayed at its mouth',
  'groove-worn': 'The groove is worn wide to its floor',
  'rails-low': 'The rails are worn too low',
  dip: 'A dip in the rails',
  'dip-behind-nose': 'A dip behind the nose',
  'bar-bent': 'The bar is bent',
  'bar-cracked': 'The bar is cracked',
  'oil-blocked': 'The oil hole is blocked',
  'groove-packed': 'The groove is packed',
  'nose-seized': 'The nose has seized',
  'chain-thin': 'The chain is too thin for the groove',
  'stamp-wrong': 'The mark on the chain is wrong',
  'cutters-short': 'The cutters are at their end',
  'damage-deep': 'A cutter is damaged too deep',
  'cutters-dull': 'The cutters are dull',
  'cutters-uneven': 'Left and right cutters are uneven',
  'gauges-high': 'The depth gauges are high',
  'chain-stretched': 'The chain is stretched',
  'chain-cracked': 'The chain is cracked',
  'sprocket-worn': 'The drive sprocket is worn',
  'turns-at-idle': 'The chain turns while the saw idles',
};

/** What a round is about. */
export const themeName: Readonly<Record<Theme, string>> = {
  any: 'Anything',
  lean: 'Leaning rails',
  splay: 'Wide grooves',
  dip: 'A dip',
  'dip-behind-nose': 'A dip behind the nose',
  'thin-chain': 'A thin chain in a wide groove',
  'stamped-wrong': 'A wrong mark',
  'worn-sprocket': 'A worn sprocket',
  'high-gauges': 'High depth gauges',
  'deep-damage': 'Deep damage on a young chain',
  'blocked-oil': 'No oil',
  'turns-at-idle': 'A chain that turns at idle',
  'two-at-once': 'Two faults at once',
  'nothing-wrong': 'Nothing wrong at all',
};

export const levelName: Readonly<Record<Level, string>> = { plain: 'Plain', usual: 'Usual', fine: 'Fine' };

export const paperName: Readonly<Record<string, string>> = {
  plain: 'First paper: plain faults',
  usual: 'Second paper: a usual day',
  fine: 'Third paper: fine faults, two at once',
};

export const markWord: Readonly<Record<Mark, string>> = {
  right: 'right',
  wrong: 'wrong',
  open: 'left open by the doubt: not wrong',
  'not-said': 'not said',
};

/** What would have gone out of the door. */
export function dangerSentence(danger: Danger): string {
  switch (danger.code) {
    case 'cracked':
      return sentence(
        `${partName[danger.part].toLowerCase()}: a cracked part would have gone out. A crack always condemns.`,
      );
    case 'contact':
      return 'A bar would have gone out in whose groove the drive links run on the floor.';
    case 'does-not-belong':
      return 'A chain would have gone out that does not run in its groove: it rocks, wears and comes off.';
    case 'turns-at-idle':
      return 'A saw would have gone out whose chain turns while it idles.';
    case 'stepped-down':
      return 'A standard chain was ordered where a low-kickback one came: that is never done in silence.';
  }
}

/** A chain as it is ordered. */
export const chainOrderText = ({ family, gauge, driveLinks, kickback }: ChainOrder): string =>
  `${familyLabel(family)}, ${gaugeLabel(gauge)}, ${driveLinks} drive links, ${kickbackClassWord[kickback]}`;
