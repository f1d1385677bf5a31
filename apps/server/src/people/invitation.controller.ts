import { Body, Controller, HttpCode, Post } from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import { SecretDto } from '../accounts/dto/link.dto';
import { Allow, type Caller, CurrentCaller } from '../common/access';
import { InvitationsService } from './invitations.service';

@ApiTags('people')
@Controller('api/invitations')
export class InvitationController {
  constructor(private readonly invitations: InvitationsService) {}

  @Post('look')
  @Allow('anyone')
  @HttpCode(200)
  @ApiOperation({ summary: 'What a link invites to' })
  look(@Body() { secret }: SecretDto) {
    return this.invitations.look(secret);
  }

  @Post('accept')
  @Allow('signed-in')
  @HttpCode(200)
  @ApiOperation({ summary: 'Join the site a link invites to' })
  accept(@CurrentCaller() { account }: Caller, @Body() { secret }: SecretDto) {
    return this.invitations.accept(secret, account);
  }
}
