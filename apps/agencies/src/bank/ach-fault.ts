/** Why the bank refuses a file, with its code. */
export class AchFault extends Error {
  constructor(
    readonly code: string,
    message: string,
  ) {
    super(message);
  }
}
