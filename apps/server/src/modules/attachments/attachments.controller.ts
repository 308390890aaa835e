import { Body, Controller, Get, Inject, Param, ParseUUIDPipe, Post, Query, Res } from '@nestjs/common';
import { ApiQuery } from '@nestjs/swagger';
import { AddAttachment, AttachmentRow } from '@zakat/contract/attachments';
import type { Response } from 'express';
import { Answers } from '../../http/answers.js';
import { CurrentSession, type Session } from '../identity/index.js';
import { Attachments } from './attachments.service.js';

@Controller('attachments')
export class AttachmentsController {
  constructor(@Inject(Attachments) private readonly attachments: Attachments) {}

  @Get()
  @ApiQuery({ name: 'subject' })
  @ApiQuery({ name: 'id' })
  @Answers(AttachmentRow, 'list')
  list(
    @CurrentSession() session: Session,
    @Query('subject') subject = '',
    @Query('id', ParseUUIDPipe) id: string,
  ): Promise<AttachmentRow[]> {
    return this.attachments.list(session, subject, id);
  }

  @Post()
  @Answers(AttachmentRow, 'list', 201)
  add(@CurrentSession() session: Session, @Body() body: AddAttachment): Promise<AttachmentRow[]> {
    return this.attachments.add(session, body);
  }

  /** Saved, never shown in a page of ours: what came from outside runs nowhere here. */
  @Get(':id/file')
  async open(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Res() response: Response,
  ): Promise<void> {
    const { name, mediaType, content } = await this.attachments.open(session, id);
    response
      .type(mediaType)
      .setHeader('Content-Disposition', `attachment; filename="${name}"`)
      .setHeader('X-Content-Type-Options', 'nosniff')
      .setHeader('Cache-Control', 'no-store')
      .send(content);
  }
}
