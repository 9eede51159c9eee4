import type { SignedChoices } from '../refit';
import type { Schools } from '../schools';
import { need, settled, UNKNOWN, wantedOfDrive, type Need, type SmallPart } from '../stock';
import type { Judged } from './choices';
import { smallPartsNeeded } from './picks';
import { numbersOfSet, wantedOf } from './wanted';

/** A part that must be replaced beside the chain, and what it must be. */
export interface OrderedPart {
  readonly part: 'bar' | 'nose' | 'driveSprocket' | SmallPart;
  readonly need: Need;
}

/**
 * Parts beside the chain that must be replaced because they are condemned, each with what it must be to go onto this
 * saw. The nose of a bar that goes, or that cannot be renewed, comes with a new bar. What a signed plan renews stands
 * among its parts; what it keeps and was condemned since is asked for.
 */
export function orderedParts(judged: Judged, schools: Schools, signed: SignedChoices | null): readonly OrderedPart[] {
  const { verdicts, sheet } = judged;
  const wanted = wantedOf(judged, schools);
  const set = numbersOfSet(judged.identity);
  const pitch = set.pitch ? settled(set.pitch) : UNKNOWN;
  const numbers = {
    pitch,
    gauge: set.gauge ? settled(set.gauge) : UNKNOWN,
    driveLinks: set.driveLinks ? settled(set.driveLinks) : UNKNOWN,
  };
  const condemned = (part: Exclude<OrderedPart['part'], SmallPart>) =>
    verdicts[part].action === 'replace' && signed?.[part] !== 'replace';
  const needsBar =
    condemned('bar') || (condemned('nose') && sheet.bar?.noseReplaceable !== true && signed?.bar !== 'replace');
  const bar = need('bar', {
    ...numbers,
    mount: wanted.mount,
    oilHole: wanted.oilHole,
    listedInches: wanted.listedInches,
  });
  // What a signed plan foresees for the drive, it takes its small parts for.
  const drive = verdicts.driveSprocket.action === 'replace' ? 'replace' : 'recondition';
  const small =
    signed?.driveSprocket && signed.driveSprocket !== 'keep'
      ? []
      : smallPartsNeeded(judged, { driveSprocket: drive }, undefined).map(
          (part) => ({ part, need: need(part, wantedOfDrive(sheet)) }) as const,
        );
  return [
    ...(needsBar ? [{ part: 'bar', need: bar } as const] : []),
    ...(condemned('nose') && !needsBar
      ? [{ part: 'nose', need: need('nose', { pitch, teeth: wanted.noseTeeth }) } as const]
      : []),
    ...(condemned('driveSprocket')
      ? [
          {
            part: 'driveSprocket',
            need: need('drive-sprocket', { pitch, ...wantedOfDrive(sheet) }),
          } as const,
        ]
      : []),
    ...small,
  ];
}
