export { LadderService } from './ladder.service.js';
