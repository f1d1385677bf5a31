import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { Invitation, Member, SiteEntity } from '../database/entities';
import { OutboxModule } from '../outbox/outbox.module';
import { InvitationController } from './invitation.controller';
import { InvitationsService } from './invitations.service';
import { MembersService } from './members.service';
import { PeopleController } from './people.controller';

@Module({
  imports: [TypeOrmModule.forFeature([Invitation, Member, SiteEntity]), OutboxModule],
  providers: [MembersService, InvitationsService],
  controllers: [PeopleController, InvitationController],
})
export class PeopleModule {}
