import { secondWriting } from '../../testing/second-writing.js';

/** Pennsylvania: 3.07% of all of it. */
secondWriting('PA', [{}], ({ pay }) => pay.times('0.0307'));
