import type { FiguresView } from '../../../contract';
import { AILMENTS, inSentence, list, money, partName } from '../../../wording';
import { useFrame } from '../../frame/frame-context';
import { Line, Lines } from './Lines';
import * as texts from '#language/screens/shop-figures';

/** Causes and near misses that are told; the rest is seldom. */
const MOST_TOLD = 8;

/** How the shop did: its jobs, its parts, what was found and what was caught. */
export function Doing({ view: { states, days, parts, causes, nearMisses } }: { view: FiguresView }) {
  const { open, signedOff, handedOver } = states;
  return (
    <Lines id="figures-doing" title={texts.howTheShopDid}>
      <Line>{texts.jobsByState(open, signedOff, handedOver)}</Line>
      {days && <Line>{texts.daysHere(days.middle, days.nineInTen)}</Line>}
      {parts
        .filter(({ saved, renewed }) => saved + renewed > 0)
        .map(({ part, saved, renewed }) => (
          <Line key={part} about={partName[part]}>
            {texts.savedAndRenewed(saved, renewed)}
          </Line>
        ))}
      {causes.length > 0 && (
        <Line about={texts.causesFound}>
          {list(
            causes
              .slice(0, MOST_TOLD)
              .map(({ cause, jobs }) => texts.causeOften(inSentence(AILMENTS[cause].name), jobs)),
          )}
          .
        </Line>
      )}
      {nearMisses.length > 0 && (
        <Line about={texts.nearMissesCaught}>
          {list(
            nearMisses.slice(0, MOST_TOLD).map(({ miss, jobs }) => texts.nearMissOften(texts.nearMissName[miss], jobs)),
          )}
          .
        </Line>
      )}
    </Lines>
  );
}

/** What working on parts kept in customers' pockets. */
export function Kept({ view: { kept } }: { view: FiguresView }) {
  const { shop } = useFrame();
  const inAll = kept.reduce((sum, { cents }) => sum + cents, 0);
  return (
    <Lines id="figures-kept" title={texts.moneyKept} none={texts.nothingWorkedOn} note={texts.keptHow}>
      {kept.map(({ part, times, cents }) => (
        <Line key={part} about={partName[part]}>
          {texts.keptBy(times, money(cents, shop))}
        </Line>
      ))}
      {kept.length > 1 && (
        <Line>
          <strong>{texts.keptInAll(money(inAll, shop))}</strong>
        </Line>
      )}
    </Lines>
  );
}

/** How often verdicts were overridden, and what became of the parts. */
export function Overridden({ view: { overrides } }: { view: FiguresView }) {
  const { stayed, renewed } = overrides;
  return (
    <Lines id="figures-overridden" title={texts.whereOverridden} none={texts.noneWent} note={texts.ofThePieces}>
      {stayed
        .filter(({ parts }) => parts > 0)
        .map(({ stay, parts, again, condemned }) => (
          <Line key={stay} about={texts.stayName[stay]}>
            {texts.stayedAndAgain(parts, again, condemned)}
          </Line>
        ))}
      {renewed.condemned + renewed.notCondemned > 0 && (
        <Line about={texts.wentNew}>{texts.renewedOf(renewed.condemned, renewed.notCondemned)}</Line>
      )}
    </Lines>
  );
}
