import { plural } from '../plural';

// Several of them
export const takeInAJob = 'Take in a job';
export const noSawNamed = 'no saw named';

// BenchPage
export const takeInANewJob = 'take in a new job';
export const nextJob = 'next job';
export const jobBefore = 'job before';
export const openTheJob = 'open the job';
export const onTheBench = 'On the bench';
export const countOfJobs = (total: number): string => plural(total, { one: '# job', other: '# jobs' });
export const takeInAJobWith = 'Take in a job with the button above, or press';
export const nothingOnTheBench = 'Nothing on the bench';
export const whichJobs = 'Which jobs';
export const handedOver = 'Handed over';
export const whatJobsWait = 'What jobs wait for';
export const all = 'All';

// DueList
export const due = 'Due';
export const overdue = 'overdue';
export const after = (tag: string): string => `after ${tag}`;
export const calendar = 'calendar';

// JobLine
export const noDayPromised = 'no day promised';
export const daysLate = (days: number): string => plural(days, { one: 'since yesterday', other: '# days late' });
export const inDays = (days: number): string => plural(days, { one: 'in # day', other: 'in # days' });
export const wasHandedOver = 'handed over';
export const noComplaintWrittenDown = 'no complaint written down';
export const orderSlipReady = ' Order slip ready.';
export const nothingMeasuredYet = 'nothing measured yet';
export const sprocket = 'Sprocket';
export const today = 'today';
export const tomorrow = 'tomorrow';

// NewJobForm
export const theJobWasNotSaved = 'The job was not saved. What you typed is still here: try again.';
export const whoseJob = 'Whose job is it? Write the customer’s name.';
export const customer = 'Customer';
export const knownCustomersCannotBeOffered = (trouble: string): string =>
  `Known customers cannot be offered: ${trouble} They are asked for again when the job is sent.`;
export const sawIfThereIsOne = 'Saw, if there is one';
export const knownHere = 'known here';
export const mount = 'Mount';
export const whatAilsIt = 'What ails it, in the customer’s words';
export const promisedFor = 'Promised for';
export const notJson = (name: string): string => `${name} is neither a bench sheet nor a hand-over: it is not JSON.`;
export const startFromABenchSheet = 'Start from a bench sheet or a hand-over (JSON), if you have one';
export const willBeRead = (name: string): string => `${name} will be read in.`;
export const gear = 'Gear';

export const isAtIt = (who: string, step: string): string => `${who} is at it: ${step}`;
export const somebody = 'Somebody';
