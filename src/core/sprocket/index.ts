/** The drive sprocket. */
export * from './readings';
