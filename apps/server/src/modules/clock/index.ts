export { Clock } from './clock.js';
