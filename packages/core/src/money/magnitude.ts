/** An amount has left the range in which it is computed exactly: for a user a slipped decimal point, for nobody else. */
export class MagnitudeError extends RangeError {
  override readonly name = 'MagnitudeError';
}
