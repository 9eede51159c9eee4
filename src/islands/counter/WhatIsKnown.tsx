import { Choice } from '../../ui/parts/Choice';
import { useFrame } from '../frame/frame-context';
import { CHAIN_WORDS, choiceWords, TAKE_IN_WORDS } from '../../wording';
import { CounterChoice, CounterField, StampPieces } from './fields';
import { SawPicker } from './SawPicker';
import type { Counter, Kind } from './use-counter';

const KINDS: readonly { readonly value: Kind; readonly label: string }[] = [
  { value: 'chain', label: 'chain' },
  { value: 'bar', label: 'bar' },
  { value: 'drive-sprocket', label: 'drive sprocket' },
  { value: 'nose', label: 'nose' },
];

/** The left side: what the caller knows, or what lies on the counter. Any field may stay empty. */
export function WhatIsKnown({ counter }: { counter: Counter }) {
  const { unit } = useFrame();
  const { reply, kind, inHand } = counter;
  return (
    <div className="grid content-start gap-3">
      <Choice
        legend="Wanted"
        options={KINDS}
        value={kind}
        onChoose={(value) => counter.setKind(KINDS.find((each) => each.value === value)?.value ?? 'chain')}
      />
      <SawPicker counter={counter} />
      <div>
        <CounterField counter={counter} path="bar.stamp" label="Punched on the bar" placeholder="18 in 325 .050 72DL" />
        <StampPieces pieces={reply?.pieces.bar ?? []} label="On the bar, taken apart" />
      </div>
      <div>
        <CounterField counter={counter} path="chain.stamp" label="Mark on the chain" placeholder="3/8LP, or a code" />
        <StampPieces pieces={reply?.pieces.chain ?? []} label="On the chain, taken apart" />
      </div>
      <div className="grid grid-cols-3 gap-3">
        <CounterField counter={counter} path="bar.listedLength" label="Bar length" placeholder="18 in" />
        <CounterField counter={counter} path="chain.driveLinks.0" label="Drive links" numeric />
        <CounterField counter={counter} path="chain.driveLinks.1" label="Again" numeric />
      </div>
      <CounterChoice
        counter={counter}
        path="job.operatorTrained"
        legend="Who runs the saw"
        options={choiceWords(TAKE_IN_WORDS['job.operatorTrained'].words)}
      />
      <CounterChoice
        counter={counter}
        path="chain.chassis"
        legend="3/8: build of links and cutters"
        options={choiceWords(CHAIN_WORDS['chain.chassis'].words)}
      />
      <Choice
        legend="Chain in hand"
        options={[
          { value: 'no', label: 'no, by word' },
          { value: 'yes', label: 'yes, to measure' },
        ]}
        value={inHand ? 'yes' : 'no'}
        onChoose={(value) => counter.setInHand(value === 'yes')}
      />
      {inHand && (
        <div className="grid grid-cols-3 gap-3">
          <CounterField counter={counter} path="chain.span.rivets" label="Rivets" placeholder="3" numeric />
          <CounterField counter={counter} path="chain.span.length" label="Span" suffix={unit} />
          <CounterField counter={counter} path="chain.driveLinkThickness" label="Link thick" suffix={unit} />
        </div>
      )}
      <div className="grid grid-cols-3 gap-3">
        <CounterField counter={counter} path="chain.fileSize" label="File used" placeholder="13/64" />
        <CounterField counter={counter} path="saw.mount" label="Mount" placeholder="M2" />
        <CounterField counter={counter} path="driveSprocket.stamp" label="On the sprocket" placeholder="325-7" />
      </div>
      <CounterChoice
        counter={counter}
        path="chain.kickbackClass"
        legend="Class of the old chain"
        options={choiceWords(CHAIN_WORDS['chain.kickbackClass'].words)}
      />
    </div>
  );
}
