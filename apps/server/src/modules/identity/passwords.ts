import { ZxcvbnFactory } from '@zxcvbn-ts/core';
import * as common from '@zxcvbn-ts/language-common';
import { refuseField } from '../../http/refusal.js';

const SHORTEST = 12;
/** Of 4: what takes more than a hundred million guesses. */
const SOUND = 3;
const estimate = new ZxcvbnFactory({ dictionary: common.dictionary, graphs: common.adjacencyGraphs });

/** Words of an account, parted where they can be typed apart. */
const wordsOf = (texts: readonly string[]): string[] =>
  [...new Set(texts.flatMap((text) => [text, ...text.split(/[^\p{L}\p{N}]+/u)]))].filter((word) => word.length >= 3);

/**
 * Refuses a password that is short, repeats itself, is built of the account's own words, or is among the common ones
 * (NIST SP 800-63B, section 5.1.1.2: compare with commonly used, expected, or compromised values).
 */
export function refuseWeak(password: string, account: readonly string[], field: string): void {
  if ([...password].length < SHORTEST)
    throw refuseField(
      field,
      `The password has fewer than ${SHORTEST} characters.`,
      'Use a few words that only you put together.',
    );
  const words = wordsOf(account);
  const bare = words.reduce((rest, word) => rest.replaceAll(word.toLowerCase(), ''), password.toLowerCase());
  if (bare.replace(/[^\p{L}\p{N}]/gu, '').length < SHORTEST / 2)
    throw refuseField(
      field,
      'The password is made of the name, the e-mail address or the firm.',
      'Use words that have nothing to do with this account.',
    );
  const { score, sequence } = estimate.check(password, words);
  if (score >= SOUND) return;
  const repeats = sequence.some(({ pattern }) => pattern === 'repeat' || pattern === 'sequence');
  throw refuseField(
    field,
    repeats ? 'The password repeats or counts on.' : 'The password is a common one, or is easily guessed.',
    'Use four or more words that do not belong together.',
  );
}
