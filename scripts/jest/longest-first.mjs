import Sequencer from '@jest/test-sequencer';

/** Projects whose files take longest: nobody waits for one of them at the end while the other workers have nothing to do. */
const FIRST = ['server', 'web', 'core'];

export default class LongestFirst extends Sequencer {
  sort(tests) {
    const place = ({ context }) => {
      const at = FIRST.indexOf(context.config.displayName?.name ?? '');
      return at < 0 ? FIRST.length : at;
    };
    return [...tests].sort((one, other) => place(one) - place(other) || (one.path < other.path ? -1 : 1));
  }
}
