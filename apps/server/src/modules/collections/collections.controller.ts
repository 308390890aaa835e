import { Body, Controller, Get, HttpCode, Inject, Param, ParseUUIDPipe, Post } from '@nestjs/common';
import { Accepted } from '@zakat/contract/clients';
import { ReleaseSlip } from '@zakat/contract/remittances';
import { CollectionAct, CollectionView, FundsView, PlanCollection } from '@zakat/contract/trust';
import { Answers } from '../../http/answers.js';
import { CurrentSession, type Session } from '../identity/index.js';
import { Collections } from './collections.service.js';

@Controller()
export class CollectionsController {
  constructor(@Inject(Collections) private readonly collections: Collections) {}

  @Get('clients/:id/funds')
  @Answers(FundsView)
  funds(@CurrentSession() session: Session, @Param('id', ParseUUIDPipe) id: string): Promise<FundsView> {
    return this.collections.funds(session, id);
  }

  @Post('clients/:id/collections')
  @Answers(Accepted, 'one', 201)
  async plan(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: PlanCollection,
  ): Promise<Accepted> {
    return { ...(await this.collections.plan(session, id, body)), warnings: [] };
  }

  @Post('clients/:id/collections/prenote')
  @Answers(Accepted, 'one', 201)
  async prenote(@CurrentSession() session: Session, @Param('id', ParseUUIDPipe) id: string): Promise<Accepted> {
    return { ...(await this.collections.planPrenote(session, id)), warnings: [] };
  }

  @Get('collections/:id')
  @Answers(CollectionView)
  view(@CurrentSession() session: Session, @Param('id', ParseUUIDPipe) id: string): Promise<CollectionView> {
    return this.collections.view(session, id);
  }

  @Get('collections/:id/slip')
  @Answers(ReleaseSlip)
  slip(@CurrentSession() session: Session, @Param('id', ParseUUIDPipe) id: string): Promise<ReleaseSlip> {
    return this.collections.slip(session, id);
  }

  @Post('collections/:id/withdraw')
  @HttpCode(200)
  @Answers(CollectionView)
  withdraw(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() { version }: CollectionAct,
  ): Promise<CollectionView> {
    return this.collections.withdraw(session, id, version);
  }

  @Post('collections/:id/release')
  @HttpCode(200)
  @Answers(CollectionView)
  release(
    @CurrentSession() session: Session,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() { version }: CollectionAct,
  ): Promise<CollectionView> {
    return this.collections.release(session, id, version);
  }

  @Post('collections/:id/retry')
  @Answers(Accepted, 'one', 201)
  async retry(@CurrentSession() session: Session, @Param('id', ParseUUIDPipe) id: string): Promise<Accepted> {
    return { ...(await this.collections.retry(session, id)), warnings: [] };
  }
}
