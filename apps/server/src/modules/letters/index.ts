export { type Addressee, addressOf, Letter, type Sender } from './letterhead.js';
