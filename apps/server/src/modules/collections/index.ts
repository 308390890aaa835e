export { CollectionAnswers } from './collection-answers.js';
export { Collection } from './entities.js';
export { Collections } from './collections.service.js';
