import type { NextFunction, Request, Response } from 'express';
import { Refusal } from './refusal.js';

/** Deeper than any shape of ours. */
const MOST_DEPTH = 24;
const MOST_NODES = 400_000;
const MOST_QUERY = 200;
/** NUL and other controls but tab and line ends, half of a surrogate pair, and marks that turn the direction of text. */
const UNSOUND =
  // oxlint-disable-next-line no-control-regex
  /[\u0000-\u0008\u000b\u000c\u000e-\u001f\u007f-\u009f\u200e\u200f\u202a-\u202e\u2066-\u2069\ufffe\uffff]|[\ud800-\udbff](?![\udc00-\udfff])|(?<![\ud800-\udbff])[\udc00-\udfff]/;

const refuseAt = (field: string, says: string, fix: string): Refusal =>
  new Refusal(400, 'shape', says, [{ code: 'shape.characters', field, severity: 'error', sentence: says, fix }]);

const named = (field: string): string => (field === '' ? 'The request' : field.slice(0, 80));
const unsound = (field: string): Refusal =>
  refuseAt(
    field.slice(0, 200),
    `${named(field)} has a character that cannot be kept (a control character, half of a pair, or a mark of direction).`,
    'Take it out, or type the text again.',
  );

interface Node {
  readonly value: unknown;
  readonly path: string;
  readonly depth: number;
}

/** Looks at every text, key and depth of a body without calling itself, so that nothing nested too deep can hurt. */
function lookThrough(body: unknown): void {
  const open: Node[] = [{ value: body, path: '', depth: 0 }];
  let seen = 0;
  for (let node = open.pop(); node !== undefined; node = open.pop()) {
    seen += 1;
    if (seen > MOST_NODES)
      throw refuseAt('', 'The request has more parts than any can need.', 'Send it in smaller parts.');
    const { value, path, depth } = node;
    if (typeof value === 'string') {
      if (UNSOUND.test(value)) throw unsound(path);
    } else if (typeof value === 'object' && value !== null) {
      if (depth > MOST_DEPTH)
        throw refuseAt(path.slice(0, 200), 'The request is nested too deep.', 'Send it as the form makes it.');
      for (const [key, inner] of Object.entries(value)) {
        if (UNSOUND.test(key)) throw unsound(path);
        const at = Array.isArray(value) ? `${path}[${key}]` : path === '' ? key : `${path}.${key}`;
        open.push({ value: inner, path: at, depth: depth + 1 });
      }
    }
  }
}

/** Nothing gets further, sign-in included, whose text could not be kept or whose query is no plain value. */
export function soundRequest(request: Request, _response: Response, next: NextFunction): void {
  try {
    for (const [name, value] of Object.entries(request.query)) {
      if (typeof value !== 'string')
        throw refuseAt(name, `${named(name)} is given more than once, or is no plain value.`, 'Give it once.');
      if (value.length > MOST_QUERY)
        throw refuseAt(name, `${named(name)} has more than ${MOST_QUERY} characters.`, 'Shorten it.');
      if (UNSOUND.test(value) || UNSOUND.test(name)) throw unsound(name);
    }
    if (UNSOUND.test(safeDecode(request.path))) throw unsound('address');
    lookThrough(request.body);
    next();
  } catch (error) {
    next(error);
  }
}

function safeDecode(path: string): string {
  try {
    return decodeURIComponent(path);
  } catch {
    throw refuseAt('address', 'The address cannot be read.', 'Follow a link, or type it again.');
  }
}

/** Answers about people and money are kept by no cache. */
export function keptNowhere(request: Request, response: Response, next: NextFunction): void {
  if (request.path.startsWith('/api')) response.setHeader('Cache-Control', 'no-store');
  next();
}
