import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { Member } from '../sites/entities/member.entity';
import { AccountsService } from './accounts.service';
import { Account } from './entities/account.entity';
import { Session } from './entities/session.entity';
import { SessionController } from './session.controller';

@Module({
  imports: [TypeOrmModule.forFeature([Account, Session, Member])],
  providers: [AccountsService],
  controllers: [SessionController],
  exports: [AccountsService],
})
export class AccountsModule {}
