import { Module } from '@nestjs/common';
import { OutboxModule } from '../outbox/outbox.module';
import { InvitationController } from './invitation.controller';
import { InvitationsService } from './invitations.service';
import { MembersService } from './members.service';
import { PeopleController } from './people.controller';

@Module({
  imports: [OutboxModule],
  providers: [MembersService, InvitationsService],
  controllers: [PeopleController, InvitationController],
})
export class PeopleModule {}
