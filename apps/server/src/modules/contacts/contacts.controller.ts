import { Body, Controller, Get, HttpCode, Inject, Param, ParseUUIDPipe, Post, Put } from '@nestjs/common';
import { ContactHome, ContactRow, CreateContact, OpenContact } from '@zakat/contract/contacts';
import { SendHours } from '@zakat/contract/hours';
import { AtVersion } from '@zakat/contract/payrolls';
import { AnswerQuestion } from '@zakat/contract/people';
import { Answers } from '../../http/answers.js';
import { notFound } from '../../http/refusal.js';
import { CurrentSession, OpenToContacts, type Session } from '../identity/index.js';
import { ClientHours } from '../payrolls/index.js';
import { QuestionsService } from '../readiness/index.js';
import { ContactsService } from './contacts.service.js';

@Controller()
export class ContactsController {
  constructor(
    @Inject(ContactsService) private readonly contacts: ContactsService,
    @Inject(QuestionsService) private readonly questions: QuestionsService,
    @Inject(ClientHours) private readonly hours: ClientHours,
  ) {}

  @Get('clients/:id/contacts')
  @Answers(ContactRow, 'list')
  list(@CurrentSession() session: Session, @Param('id', ParseUUIDPipe) id: string): Promise<ContactRow[]> {
    return this.contacts.list(session, id);
  }

  @Post('clients/:id/contacts')
  @Answers(ContactRow, 'list', 201)
  create(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: CreateContact,
  ): Promise<ContactRow[]> {
    return this.contacts.create(session, id, body);
  }

  @Put('clients/:id/contacts/:contactId')
  @Answers(ContactRow, 'list')
  open(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Param('contactId', ParseUUIDPipe) contactId: string,
    @Body() body: OpenContact,
  ): Promise<ContactRow[]> {
    return this.contacts.open(session, id, contactId, body.isActive);
  }

  @Get('own-client')
  @OpenToContacts()
  @Answers(ContactHome)
  home(@CurrentSession() session: Session): Promise<ContactHome> {
    if (session.clientId === null) throw notFound('client of your own');
    return this.contacts.home(session, session.clientId);
  }

  @Post('own-client/payrolls/:id/hours')
  @OpenToContacts()
  @HttpCode(204)
  sendHours(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: SendHours,
  ): Promise<void> {
    if (session.clientId === null) throw notFound('client of your own');
    return this.hours.send(session, id, body);
  }

  @Post('own-client/payrolls/:id/approve')
  @OpenToContacts()
  @HttpCode(204)
  approve(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: AtVersion,
  ): Promise<void> {
    if (session.clientId === null) throw notFound('client of your own');
    return this.hours.approve(session, id, body.version);
  }

  @Post('own-client/questions/:id/answer')
  @OpenToContacts()
  @HttpCode(204)
  answer(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: AnswerQuestion,
  ): Promise<void> {
    if (session.clientId === null) throw notFound('client of your own');
    return this.questions.act(session, id, 'answer', body.version, body.answer);
  }
}
