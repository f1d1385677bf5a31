import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { Account, AccountLink, Member, Session } from '../database/entities';
import { OutboxModule } from '../outbox/outbox.module';
import { AccountController } from './account.controller';
import { AccountsService } from './accounts.service';
import { AttemptsService } from './attempts.service';
import { LinksService } from './links.service';
import { Passwords } from './passwords';
import { SessionController } from './session.controller';

@Module({
  imports: [TypeOrmModule.forFeature([Account, AccountLink, Member, Session]), OutboxModule],
  providers: [Passwords, AccountsService, AttemptsService, LinksService],
  controllers: [SessionController, AccountController],
  exports: [AccountsService],
})
export class AccountsModule {}
