import type { ComponentType } from 'react';
import type { Step } from '../../../core/assess';
import { BarStep } from '../bar/BarStep';
import { ChainStep } from './ChainStep';
import { Clean } from './Clean';
import { Decide } from './Decide';
import { Identify } from '../identify/Identify';
import { OrderSlip } from './OrderSlip';
import { SprocketStep } from './SprocketStep';
import { Rework } from '../rework/Rework';
import { Strip } from './Strip';
import { TakeIn } from './TakeIn';

/** The instrument of each step. */
export const STEP_VIEWS: Readonly<Record<Step, ComponentType<{ onOpen: (step: Step) => void }>>> = {
  'take-in': TakeIn,
  strip: Strip,
  identify: Identify,
  clean: Clean,
  bar: BarStep,
  chain: ChainStep,
  sprocket: SprocketStep,
  decide: Decide,
  rework: Rework,
  order: OrderSlip,
};
