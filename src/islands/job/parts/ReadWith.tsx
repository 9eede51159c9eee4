import { estimate, parseReading, type InstrumentId } from '../../../core/quantity';
import { withStudy } from '../../../core/sheet';
import { studySource } from '../../../wording';
import { useFrame } from '../../frame/frame-context';
import { useJob } from '../store/JobContext';
import { useFieldActions } from '../store/useField';
import { lengthAt, takeTool, useToolsInHand } from '../tools/tool-in-hand';
import { ToolPick } from '../tools/ToolPick';
import * as texts from '#language/screens/job';

/**
 * Under a length, whose label has the id `of`: what it is measured with, and the doubt that this leaves. A change of
 * tool counts for what stands there too.
 */
export function ReadWith({ path, of }: { path: string; of: string }) {
  const { snapshot, view } = useJob();
  const { show, unit, who } = useFrame();
  const { setTool } = useFieldActions();
  const tools = useToolsInHand();
  const length = lengthAt(path);
  if (!length) return null;
  const there = snapshot.drafts.get(path) ?? snapshot.standing.get(path);
  const hasText = there !== undefined && there.text.trim() !== '';
  const tool = hasText ? (there.instrument ?? length.usual) : (tools[length.kind] ?? length.usual);
  const take = (taken: InstrumentId) => {
    takeTool(length.kind, taken);
    setTool(path, taken === length.usual ? null : taken);
  };
  const read = hasText ? parseReading(there.text, length.spec, there.unit, tool) : null;
  const by = snapshot.drafts.has(path) ? who : snapshot.standing.get(path)?.by;
  const study = view.studies.find((each) => each.by === by && each.instrument === tool);
  const reading = read?.ok ? read.value : null;
  const own = reading?.kind === 'measured' && study ? withStudy({ ...reading, by: study.by }, [study]) : reading;
  const value = own && estimate(own);
  return (
    <span className="flex min-w-0 flex-wrap items-center gap-x-1.5 text-sm text-ink-soft">
      <ToolPick tools={length.tools} tool={tool} label={texts.measured} of={of} onTake={take} />
      {value && (
        <span className="whitespace-nowrap" title={study ? studySource(study) : undefined}>
          <span className="figures">± {show(2 * value.u, unit === 'mm' ? 2 : 3)}</span>
          {study && texts.wasMeasured}
        </span>
      )}
    </span>
  );
}
