import type { z } from 'zod';
import * as contract from '../../src/contract';

/** Every address that takes a body, with what its contract wants. */
export const TAKES: readonly (readonly [string, string, z.ZodType])[] = [
  ['POST', '/api/jobs', contract.createJobSchema],
  ['POST', '/api/jobs/:job/readings', contract.putReadingsSchema],
  ['POST', '/api/jobs/:job/sign-off', contract.signOffSchema],
  ['PUT', '/api/limits/:any', contract.changeLimitSchema],
  ['POST', '/api/limits/plan.labour/preview', contract.previewLimitSchema],
  ['POST', '/api/studies', contract.studyHandSchema],
  ['POST', '/api/studies/aside', contract.setStudyAsideSchema],
  ['PUT', '/api/schools', contract.chooseSchoolSchema],
  ['PUT', '/api/shop', contract.shopFactsSchema],
  ['PUT', '/api/codes', contract.putCodeSchema],
  ['POST', '/api/codes/forget', contract.forgetCodeSchema],
  ['POST', '/api/people', contract.addPersonSchema],
  ['POST', '/api/counter/answer', contract.counterAskSchema],
  ['POST', '/api/counter/saws', contract.rememberSawSchema],
  ['POST', '/api/stock/imports/:any', contract.importBatchSchema],
  ['POST', '/api/stock/imports/:any/undo', contract.bySchema],
  ['PUT', '/api/stock/parts/:any', contract.changePartSchema],
  ['POST', '/api/stock/parts/:any', contract.movePartSchema],
  ['POST', '/api/stock/shelved', contract.shelvedSchema],
  ['POST', '/api/backups/put-back', contract.putBackSchema],
  ['POST', '/api/jobs/:job/parts', contract.jobPartSchema],
  ['POST', '/api/jobs/:job/hand-over', contract.handOverRequestSchema],
  ['POST', '/api/orders/:any', contract.orderActSchema],
  ['POST', '/simulated/supplier/orders', contract.bySchema],
  // Last of those that the supplier answers: it may be told to be slow.
  ['PUT', '/api/supplier/mood', contract.supplierMoodSchema],
  ['POST', '/simulated/caliper/command', contract.caliperCommandSchema],
];
