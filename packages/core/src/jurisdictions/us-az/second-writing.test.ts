import { secondWriting } from '../../testing/second-writing.js';

/** Arizona: a percentage that the person elects. */
secondWriting(
  'AZ',
  [{ percent: '2.0' }, { percent: '0.5' }, { percent: '3.5' }, { percent: '0' }],
  ({ pay, claimed }) => pay.times(claimed('percent')).div(100),
);
