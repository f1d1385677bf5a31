import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { OutboxModule } from '../outbox/outbox.module';
import { AccountController } from './account.controller';
import { AccountsService } from './accounts.service';
import { AttemptsService } from './attempts.service';
import { Account } from './entities/account.entity';
import { Member } from './entities/member.entity';
import { Session } from './entities/session.entity';
import { LinksService } from './links.service';
import { Passwords } from './passwords';
import { SessionController } from './session.controller';

@Module({
  imports: [TypeOrmModule.forFeature([Account, Session, Member]), OutboxModule],
  providers: [Passwords, AccountsService, AttemptsService, LinksService],
  controllers: [SessionController, AccountController],
  exports: [AccountsService],
})
export class AccountsModule {}
