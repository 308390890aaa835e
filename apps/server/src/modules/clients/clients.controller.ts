import { Body, Controller, Get, Inject, Param, ParseUUIDPipe, Post, Put } from '@nestjs/common';
import {
  Accepted,
  ClientRow,
  ClientView,
  CreateBankAccount,
  CreateClient,
  CreateTaxAccount,
  UpdateClientIdentity,
} from '@zakat/contract/clients';
import { Answers } from '../../http/answers.js';
import { CurrentSession } from '../identity/guard.js';
import type { Session } from '../identity/sessions.js';
import { ClientsService } from './clients.service.js';

const accepted = ({ id }: { id: string }): Accepted => ({ id, warnings: [] });

@Controller('clients')
export class ClientsController {
  constructor(@Inject(ClientsService) private readonly clients: ClientsService) {}

  @Get()
  @Answers(ClientRow, 'list')
  list(@CurrentSession() session: Session): Promise<ClientRow[]> {
    return this.clients.list(session);
  }

  @Get(':id')
  @Answers(ClientView)
  view(@CurrentSession() session: Session, @Param('id', ParseUUIDPipe) id: string): Promise<ClientView> {
    return this.clients.view(session, id);
  }

  @Post()
  @Answers(Accepted, 'one', 201)
  async create(@CurrentSession() session: Session, @Body() body: CreateClient): Promise<Accepted> {
    return accepted(await this.clients.create(session, body));
  }

  @Put(':id/identity')
  @Answers(ClientView)
  update(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: UpdateClientIdentity,
  ): Promise<ClientView> {
    return this.clients.updateIdentity(session, id, body);
  }

  @Post(':id/tax-accounts')
  @Answers(Accepted, 'one', 201)
  async addTaxAccount(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: CreateTaxAccount,
  ): Promise<Accepted> {
    return accepted(await this.clients.addTaxAccount(session, id, body));
  }

  @Post(':id/bank-accounts')
  @Answers(Accepted, 'one', 201)
  async addBankAccount(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: CreateBankAccount,
  ): Promise<Accepted> {
    return accepted(await this.clients.addBankAccount(session, id, body));
  }
}
