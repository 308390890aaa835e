export { Filing } from './entities.js';
export { periodOf, titleOf } from './titles.js';
