import { Body, Controller, Get, HttpCode, Inject, Param, ParseUUIDPipe, Post, Put, Query } from '@nestjs/common';
import {
  Accepted,
  ClientFact,
  ClientList,
  ClientView,
  CreateBankAccount,
  CreateClient,
  CreateTaxAccount,
  UpdateClientIdentity,
} from '@zakat/contract/clients';
import { AtVersion } from '@zakat/contract/payrolls';
import { ApiQuery } from '@nestjs/swagger';
import { wholeFrom } from '../../http/whole.js';
import { Answers } from '../../http/answers.js';
import { CurrentSession, type Session } from '../identity/index.js';
import { ClientRemoval } from './client-removal.js';
import { ClientsService } from './clients.service.js';

const accepted = ({ id }: { id: string }): Accepted => ({ id, warnings: [] });

@Controller('clients')
export class ClientsController {
  constructor(
    @Inject(ClientsService) private readonly clients: ClientsService,
    @Inject(ClientRemoval) private readonly removal: ClientRemoval,
  ) {}

  @Get()
  @ApiQuery({ name: 'find', required: false })
  @ApiQuery({ name: 'from', required: false })
  @ApiQuery({ name: 'count', required: false })
  @Answers(ClientList)
  list(
    @CurrentSession() session: Session,
    @Query('find') find?: string,
    @Query('from') from?: string,
    @Query('count') count?: string,
  ): Promise<ClientList> {
    return this.clients.list(session, {
      find: find ?? '',
      from: wholeFrom(from, 'from', 0),
      count: wholeFrom(count, 'count', 200),
    });
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

  @Post(':id/remove')
  @HttpCode(204)
  remove(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: AtVersion,
  ): Promise<void> {
    return this.removal.remove(session, id, body.version);
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

  @Post(':id/facts')
  @Answers(Accepted, 'one', 201)
  async addFact(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: ClientFact,
  ): Promise<Accepted> {
    return accepted(await this.clients.addFact(session, id, body));
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
