export * from './card';
export * from './homography';
export * from './plane';
export * from './measure';
export * from './run';
