import { Controller, Get, Header, Inject, Param, ParseUUIDPipe, StreamableFile } from '@nestjs/common';
import { TransmissionRow } from '@zakat/contract/transmissions';
import { Answers } from '../../http/answers.js';
import type { StoredDocument } from '../documents/index.js';
import { CurrentSession, type Session } from '../identity/index.js';
import { Transmissions } from './transmissions.service.js';

@Controller('transmissions')
export class TransmissionsController {
  constructor(@Inject(Transmissions) private readonly transmissions: Transmissions) {}

  @Get()
  @Answers(TransmissionRow, 'list')
  list(@CurrentSession() session: Session): Promise<TransmissionRow[]> {
    return this.transmissions.list(session);
  }

  @Get(':id/file')
  @Header('Cache-Control', 'no-store')
  async file(@CurrentSession() session: Session, @Param('id', ParseUUIDPipe) id: string): Promise<StreamableFile> {
    return attached(await this.transmissions.file(session, id, 'document_id'));
  }

  @Get(':id/acknowledgements')
  @Header('Cache-Control', 'no-store')
  async acknowledgements(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
  ): Promise<StreamableFile> {
    return attached(await this.transmissions.file(session, id, 'acknowledgement_id'));
  }
}

const attached = ({ content, mediaType, name }: StoredDocument): StreamableFile =>
  new StreamableFile(content, { type: mediaType, disposition: `attachment; filename="${name}"` });
