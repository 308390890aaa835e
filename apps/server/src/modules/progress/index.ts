export { Progress } from './progress.js';
