import { Body, Controller, Get, HttpCode, Inject, Param, ParseUUIDPipe, Post, Put, Query } from '@nestjs/common';
import {
  Accepted,
  AddFact,
  CreateEmployee,
  EmployeeList,
  EmployeeView,
  RevealedNumber,
  UpdateEmployeeIdentity,
} from '@zakat/contract/clients';
import { AtVersion } from '@zakat/contract/payrolls';
import { ForeseeChanges, ForeseenChange, MakeChanges } from '@zakat/contract/people';
import { ApiQuery } from '@nestjs/swagger';
import { Answers } from '../../http/answers.js';
import { wholeFrom } from '../../http/whole.js';
import { CurrentSession, type Session } from '../identity/index.js';
import { dayFrom } from '../../http/day.js';
import { ChangesForMany } from './changes-for-many.service.js';
import { EmployeesService, warningsOf } from './employees.service.js';

@Controller()
export class EmployeesController {
  constructor(
    @Inject(EmployeesService) private readonly employees: EmployeesService,
    @Inject(ChangesForMany) private readonly changes: ChangesForMany,
  ) {}

  @Get('clients/:id/employees')
  @ApiQuery({ name: 'find', required: false })
  @ApiQuery({ name: 'from', required: false })
  @ApiQuery({ name: 'count', required: false })
  @Answers(EmployeeList)
  list(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Query('find') find?: string,
    @Query('from') from?: string,
    @Query('count') count?: string,
  ): Promise<EmployeeList> {
    return this.employees.list(session, id, {
      find: find ?? '',
      from: wholeFrom(from, 'from', 0),
      count: wholeFrom(count, 'count', 200),
    });
  }

  @Post('clients/:id/employees')
  @Answers(Accepted, 'one', 201)
  async create(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: CreateEmployee,
  ): Promise<Accepted> {
    const { id: made, warnings } = await this.employees.create(session, id, body);
    return { id: made, warnings: warningsOf(warnings) };
  }

  @Get('employees/:id')
  @ApiQuery({ name: 'on', required: false })
  @Answers(EmployeeView)
  view(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Query('on') on?: string,
  ): Promise<EmployeeView> {
    return this.employees.view(session, id, on === undefined ? null : dayFrom(on, 'on'));
  }

  @Put('employees/:id/identity')
  @Answers(EmployeeView)
  update(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: UpdateEmployeeIdentity,
  ): Promise<EmployeeView> {
    return this.employees.updateIdentity(session, id, body);
  }

  @Post('employees/:id/remove')
  @HttpCode(204)
  remove(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: AtVersion,
  ): Promise<void> {
    return this.employees.remove(session, id, body.version);
  }

  @Post('clients/:id/changes-for-many/foresee')
  @HttpCode(200)
  @Answers(ForeseenChange, 'list')
  foreseeChanges(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: ForeseeChanges,
  ): Promise<ForeseenChange[]> {
    return this.changes.foresee(session, id, body);
  }

  @Post('clients/:id/changes-for-many')
  @HttpCode(200)
  @Answers(ForeseenChange, 'list')
  makeChanges(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: MakeChanges,
  ): Promise<ForeseenChange[]> {
    return this.changes.make(session, id, body);
  }

  @Post('employees/:id/facts')
  @Answers(Accepted, 'one', 201)
  async addFact(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: AddFact,
  ): Promise<Accepted> {
    return { ...(await this.employees.addFact(session, id, body)), warnings: [] };
  }

  @Post('employees/:id/number')
  @Answers(RevealedNumber, 'one', 201)
  reveal(@CurrentSession() session: Session, @Param('id', ParseUUIDPipe) id: string): Promise<RevealedNumber> {
    return this.employees.reveal(session, id);
  }
}
