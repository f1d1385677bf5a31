import { Body, Controller, Post } from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import { SecretDto } from '../accounts/dto/link.dto';
import { Answers } from '../api/answers';
import { Allow, type Caller, CurrentCaller } from '../common/access';
import { InvitedToDto, JoinedDto } from './dto/invitation.dto';
import { InvitationsService } from './invitations.service';

@ApiTags('people')
@Controller('api/invitations')
export class InvitationController {
  constructor(private readonly invitations: InvitationsService) {}

  @Post('look')
  @Allow('anyone')
  @Answers(InvitedToDto)
  @ApiOperation({ summary: 'What a link invites to' })
  look(@Body() { secret }: SecretDto) {
    return this.invitations.look(secret);
  }

  @Post('accept')
  @Allow('signed-in')
  @Answers(JoinedDto)
  @ApiOperation({ summary: 'Join the site a link invites to' })
  accept(@CurrentCaller() { account }: Caller, @Body() { secret }: SecretDto) {
    return this.invitations.accept(secret, account);
  }
}
