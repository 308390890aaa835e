export { QuestionsService } from './questions.service.js';
