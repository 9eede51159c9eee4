import { StepHead } from '../parts/StepHead';
import { Guided } from '../parts/Guided';

/** Rinse: the housing is washed and dried before the saw leaves. */
export default function Rinse() {
  return (
    <>
      <StepHead title="Rinse the housing" />
      <Guided path="rinse.done" title="In this order" />
    </>
  );
}
