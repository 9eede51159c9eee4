/** What pages may use of the server. */
export { context } from './context';
export { Refusal } from './refusal';
export { answer, answerFile, body, errorReply, json } from './http/endpoint';
export { download } from './http/download';
export { atTheDoor, isOurs, mustBeOpened, NOTHING_HERE, reachedAt, shopNames } from './http/door';
export { SAFETY_HEADERS, turnAway, type Turned } from './http/guard';
export { doorState } from './http/door-state';
export { cameFrom, sessionAnswer } from './http/session-answer';
export { shopCookie, shownBy } from './http/shown';
export { askedBy, writtenBy } from './people/actor';
export { admit } from './people/admit';
export { turnedFromPage } from './people/turned-from-page';
export * from './use-cases/people';
export * from './use-cases/bench';
export * from './use-cases/jobs';
export { assessedJob } from './use-cases/appraised';
export * from './use-cases/sign-off';
export * from './use-cases/take-in';
export * from './use-cases/shop';
export * from './use-cases/shops';
export { leaveDemo, settleSetUp, setUpView } from './use-cases/set-up';
export * from './use-cases/stock';
export * from './use-cases/stock-imports';
export * from './use-cases/shelf';
export * from './use-cases/counter';
export * from './use-cases/scale-card';
export * from './use-cases/work-card';
export { caliperCommand, caliperStream } from './simulated/caliper';
export * from './use-cases/supplier';
export * from './use-cases/codes';
export * from './use-cases/studies';
export { plansOf } from './use-cases/kept-plans';
export * from './use-cases/photos';
export * from './use-cases/job-parts';
export { handOverOf, handOverView } from './use-cases/hand-over';
export { handOverJob } from './use-cases/handing-over';
export * from './use-cases/calendar';
export {
  allCustomersRows,
  allCustomersView,
  allSawsRows,
  allSawsView,
  changeGear,
  customerGear,
  gearView,
  modelMemory,
  modelOffer,
  modelRows,
  modelsView,
  otherSawsOf,
  pieceTagged,
  pieceView,
  sawGearView,
  takeInSaws,
} from './use-cases/gear';
export * from './use-cases/drift';
export * from './practice';
export { PAPER_LINKS, paperOf, slipPaper, writePaper } from './papers';
export { askedOfPicture } from './pictures/asked';
export { heavily } from './heavy/threads';
export { bringBackup, keptBackup, makeArchive, makeBackup, putBackupBack, tryStore } from './use-cases/backup';
export { recordOfCode, verifyNow } from './use-cases/records';
export { placeNow } from './live/place-now';
export { letListen, sayHere } from './live/streams';
export { health } from './health';
export { openApi, operationLines } from './open-api';
export { assessSheet } from './use-cases/assess';
export { answeredLine, forRequest, requestId } from './log';
export { answeredCount, metricsText } from './metrics';
export { sentFile } from './http/sent-file';
