import { Body, Controller, Get, HttpCode, Inject, Param, ParseUUIDPipe, Post, Put, Req } from '@nestjs/common';
import type { Request } from 'express';
import { ClientFact } from '@zakat/contract/clients';
import {
  AgentPin,
  ChangePassword,
  CreateUser,
  FirmView,
  SecondFactorCode,
  SecondFactorOffer,
  SwitchSecondPerson,
  UpdateFirm,
  UpdateUser,
  UserRow,
} from '@zakat/contract/firm';
import { RequireMarks } from '@zakat/contract/working-papers';
import { Answers } from '../../http/answers.js';
import {
  COOKIE,
  CurrentSession,
  OpenToContacts,
  OpenToEmployees,
  SecondFactor,
  type Session,
} from '../identity/index.js';
import { FirmService } from './firm.service.js';
import { UsersService } from './users.service.js';

@Controller()
export class FirmController {
  constructor(
    @Inject(FirmService) private readonly firm: FirmService,
    @Inject(UsersService) private readonly users: UsersService,
    @Inject(SecondFactor) private readonly factor: SecondFactor,
  ) {}

  @Get('firm')
  @Answers(FirmView)
  view(@CurrentSession() session: Session): Promise<FirmView> {
    return this.firm.view(session);
  }

  @Put('firm')
  @Answers(FirmView)
  update(@CurrentSession() session: Session, @Body() body: UpdateFirm): Promise<FirmView> {
    return this.firm.update(session, body);
  }

  @Put('firm/second-person')
  @Answers(FirmView)
  secondPerson(@CurrentSession() session: Session, @Body() body: SwitchSecondPerson): Promise<FirmView> {
    return this.firm.switchSecondPerson(session, body);
  }

  @Put('firm/marks')
  @Answers(FirmView)
  requireMarks(@CurrentSession() session: Session, @Body() body: RequireMarks): Promise<FirmView> {
    return this.firm.requireMarks(session, body);
  }

  @Put('firm/agent-pin')
  @Answers(FirmView)
  agentPin(@CurrentSession() session: Session, @Body() body: AgentPin): Promise<FirmView> {
    return this.firm.keepAgentPin(session, body);
  }

  @Post('firm/defaults')
  @Answers(FirmView, 'one', 201)
  addDefault(@CurrentSession() session: Session, @Body() body: ClientFact): Promise<FirmView> {
    return this.firm.addDefault(session, body);
  }

  @Get('users')
  @Answers(UserRow, 'list')
  list(@CurrentSession() session: Session): Promise<UserRow[]> {
    return this.users.list(session);
  }

  @Post('users')
  @Answers(UserRow, 'list', 201)
  create(@CurrentSession() session: Session, @Body() body: CreateUser): Promise<UserRow[]> {
    return this.users.create(session, body);
  }

  @Put('users/:id')
  @Answers(UserRow, 'list')
  change(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: UpdateUser,
  ): Promise<UserRow[]> {
    return this.users.update(session, id, body);
  }

  @Post('users/:id/sign-out-everywhere')
  @OpenToContacts()
  @OpenToEmployees()
  @HttpCode(204)
  signOut(@CurrentSession() session: Session, @Param('id', ParseUUIDPipe) id: string): Promise<void> {
    return this.users.signOutEverywhere(session, id);
  }

  @Post('session/second-factor')
  @OpenToContacts()
  @OpenToEmployees()
  @Answers(SecondFactorOffer, 'one', 201)
  offer(@CurrentSession() session: Session): Promise<SecondFactorOffer> {
    return this.factor.offer(session);
  }

  @Post('session/second-factor/confirm')
  @OpenToContacts()
  @OpenToEmployees()
  @HttpCode(204)
  confirm(@CurrentSession() session: Session, @Body() body: SecondFactorCode): Promise<void> {
    return this.factor.confirm(session, body.code);
  }

  @Post('session/second-factor/remove')
  @OpenToContacts()
  @OpenToEmployees()
  @HttpCode(204)
  remove(@CurrentSession() session: Session, @Body() body: SecondFactorCode): Promise<void> {
    return this.factor.remove(session, body.code);
  }

  @Put('session/password')
  @OpenToContacts()
  @OpenToEmployees()
  @HttpCode(204)
  password(@CurrentSession() session: Session, @Req() request: Request, @Body() body: ChangePassword): Promise<void> {
    const cookies = request.cookies as Record<string, string>;
    return this.factor.changePassword(session, cookies[COOKIE] ?? '', body);
  }
}
