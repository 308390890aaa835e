import { Controller, Get, Inject, Param, ParseUUIDPipe, Query, Res } from '@nestjs/common';
import { ApiQuery } from '@nestjs/swagger';
import type { Response } from 'express';
import { refuseField } from '../../http/refusal.js';
import { CurrentSession } from '../identity/guard.js';
import type { Session } from '../identity/sessions.js';
import { CHECK_LAYOUTS } from './check-page.js';
import { CheckSamples } from './check-samples.js';

@Controller('clients/:id')
export class ChecksController {
  constructor(@Inject(CheckSamples) private readonly samples: CheckSamples) {}

  @Get('check-sample.pdf')
  @ApiQuery({ name: 'layout', enum: CHECK_LAYOUTS })
  async sample(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Query('layout') asked: string,
    @Res() response: Response,
  ) {
    const layout = CHECK_LAYOUTS.find((one) => one === asked);
    if (!layout)
      throw refuseField(
        'layout',
        'A check stands at the top, in the middle or at the bottom.',
        'Ask for top, middle or bottom.',
      );
    response
      .type('application/pdf')
      .setHeader('Content-Disposition', `inline; filename="check-sample-${layout}.pdf"`)
      .setHeader('Cache-Control', 'no-store')
      .send(await this.samples.draw(session, id, layout));
  }
}
