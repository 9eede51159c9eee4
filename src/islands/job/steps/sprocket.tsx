export { SprocketStep as default } from '../sprocket/SprocketStep';
