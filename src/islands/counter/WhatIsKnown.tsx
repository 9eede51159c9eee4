import { Choice } from '../../ui/parts/Choice';
import { useFrame } from '../frame/frame-context';
import { CHAIN_WORDS, choiceWords, DRIVE_SPROCKET_WORDS, TAKE_IN_WORDS } from '../../wording';
import { CounterChoice, CounterField, StampPieces } from './fields';
import { Mounts } from './Mounts';
import { SawPicker } from './SawPicker';
import type { Counter, Kind } from './use-counter';
import * as texts from '#language/screens/counter';

const KINDS: readonly { readonly value: Kind; readonly label: string }[] = [
  { value: 'chain', label: 'chain' },
  { value: 'bar', label: 'bar' },
  { value: 'drive-sprocket', label: texts.driveSprocket },
  { value: 'nose', label: 'nose' },
];

/** The left side: what the caller knows, or what lies on the counter. Any field may stay empty. */
export function WhatIsKnown({ counter }: { counter: Counter }) {
  const { unit } = useFrame();
  const { reply, kind, inHand } = counter;
  const isSpur = counter.text('driveSprocket.type') === 'spur';
  return (
    <div className="grid content-start gap-3">
      <Choice
        legend={texts.wanted}
        options={KINDS}
        value={kind}
        onChoose={(value) => counter.setKind(KINDS.find((each) => each.value === value)?.value ?? 'chain')}
      />
      <SawPicker counter={counter} />
      <div>
        <CounterField
          counter={counter}
          path="bar.stamp"
          label={texts.punchedOnTheBar}
          placeholder={texts.barMarkExample}
        />
        <StampPieces pieces={reply?.pieces.bar ?? []} label={texts.onTheBarTakenApart} />
      </div>
      <div>
        <CounterField
          counter={counter}
          path="chain.stamp"
          label={texts.markOnTheChain}
          placeholder={texts.chainMarkExample}
        />
        <StampPieces pieces={reply?.pieces.chain ?? []} label={texts.onTheChainTakenApart} />
      </div>
      <div className="grid grid-cols-3 gap-3">
        <CounterField
          counter={counter}
          path="bar.listedLength"
          label={texts.barLength}
          placeholder={texts.barLengthExample}
        />
        <CounterField counter={counter} path="chain.driveLinks.0" label={texts.driveLinks} numeric />
        <CounterField counter={counter} path="chain.driveLinks.1" label={texts.again} numeric />
      </div>
      <CounterChoice
        counter={counter}
        path="job.operatorTrained"
        legend={texts.whoRunsTheSaw}
        options={choiceWords(TAKE_IN_WORDS['job.operatorTrained'].words)}
      />
      <CounterChoice
        counter={counter}
        path="chain.chassis"
        legend={texts.buildAtThreeEighths}
        options={choiceWords(CHAIN_WORDS['chain.chassis'].words)}
      />
      <Choice
        legend={texts.chainInHand}
        options={[
          { value: 'no', label: texts.noByWord },
          { value: 'yes', label: texts.yesToMeasure },
        ]}
        value={inHand ? 'yes' : 'no'}
        onChoose={(value) => counter.setInHand(value === 'yes')}
      />
      {inHand && (
        <div className="grid grid-cols-3 gap-3">
          <CounterField counter={counter} path="chain.span.rivets" label={texts.rivets} placeholder="3" numeric />
          <CounterField counter={counter} path="chain.span.length" label={texts.span} suffix={unit} />
          <CounterField counter={counter} path="chain.driveLinkThickness" label={texts.linkThick} suffix={unit} />
        </div>
      )}
      <div className="grid grid-cols-3 gap-3">
        <CounterField counter={counter} path="chain.fileSize" label={texts.fileUsed} placeholder="13/64" />
        <CounterField counter={counter} path="saw.mount" label={texts.mount} placeholder="M2" />
        <CounterField counter={counter} path="driveSprocket.stamp" label={texts.onTheSprocket} placeholder="325-7" />
      </div>
      <Mounts counter={counter} />
      {kind === 'chain' && (
        <div className="grid grid-cols-[8rem_minmax(0,1fr)] gap-3">
          <CounterField counter={counter} path="chain.cutters" label={texts.cutters} numeric />
          <CounterChoice
            counter={counter}
            path="chain.sequence"
            legend={texts.sequence}
            options={choiceWords(CHAIN_WORDS['chain.sequence'].words)}
          />
        </div>
      )}
      {kind === 'nose' && <CounterField counter={counter} path="bar.noseTeeth" label={texts.teethOfTheNose} numeric />}
      {kind === 'drive-sprocket' && (
        <div className="grid grid-cols-[minmax(0,1fr)_6rem_6rem] gap-3">
          <CounterChoice
            counter={counter}
            path="driveSprocket.type"
            legend={texts.kindOfSprocket}
            options={choiceWords(DRIVE_SPROCKET_WORDS['driveSprocket.type'].words)}
          />
          <CounterField counter={counter} path="driveSprocket.teeth" label={texts.teeth} numeric />
          <CounterField
            counter={counter}
            path={isSpur ? 'driveSprocket.bore' : 'saw.splines'}
            label={isSpur ? texts.bore : texts.splines}
            numeric={!isSpur}
          />
        </div>
      )}
      <CounterChoice
        counter={counter}
        path="chain.kickbackClass"
        legend={texts.classOfTheOldChain}
        options={choiceWords(CHAIN_WORDS['chain.kickbackClass'].words)}
      />
    </div>
  );
}
