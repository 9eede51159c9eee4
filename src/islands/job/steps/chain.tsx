export { ChainStep as default } from '../chain/ChainStep';
