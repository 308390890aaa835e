import type { Response } from 'express';

/** A PDF to look at, kept by nobody on the way. */
export function sendPdf(response: Response, name: string, content: Buffer): void {
  response
    .type('application/pdf')
    .setHeader('Content-Disposition', `inline; filename="${name}"`)
    .setHeader('Cache-Control', 'no-store')
    .send(content);
}
