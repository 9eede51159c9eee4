export { live, type About } from './live';
export { useChanges, useLive, useLiveView, useOthers } from './use-live';
