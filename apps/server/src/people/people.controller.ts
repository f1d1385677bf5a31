import { Body, Controller, Delete, Get, Param, ParseUUIDPipe, Post, Put } from '@nestjs/common';
import { ApiOperation, ApiParam, ApiTags } from '@nestjs/swagger';
import { Answers, AnswersList, AnswersNothing } from '../api/answers';
import {
  Allow,
  type Caller,
  CurrentCaller,
  CurrentMembership,
  MEMBERS,
  type Membership,
} from '../common/access';
import { InvitationDto, InvitedDto } from './dto/invitation.dto';
import { MemberDto } from './dto/member.dto';
import { InviteDto, KeeperDto, RoleDto } from './dto/people.dto';
import { InvitationsService } from './invitations.service';
import { MembersService } from './members.service';

@ApiTags('people')
@Controller('api/sites/:site')
@Allow(['designer'])
export class PeopleController {
  constructor(
    private readonly members: MembersService,
    private readonly invitations: InvitationsService,
  ) {}

  @Get('members')
  @AnswersList(MemberDto)
  @Allow(MEMBERS)
  @ApiOperation({ summary: 'Who belongs to the site, and as what' })
  list(@Param('site') site: string) {
    return this.members.list(site);
  }

  @Delete('members/me')
  @ApiParam({ name: 'site' })
  @Allow(MEMBERS)
  @AnswersNothing()
  @ApiOperation({ summary: 'Leave the site' })
  leave(@CurrentMembership() { site }: Membership, @CurrentCaller() { account }: Caller): Promise<void> {
    return this.members.remove(site, account);
  }

  @Put('members/:account')
  @AnswersNothing()
  @ApiOperation({ summary: 'Give a member another role' })
  setRole(
    @Param('site') site: string,
    @Param('account', ParseUUIDPipe) account: string,
    @Body() { role }: RoleDto,
  ): Promise<void> {
    return this.members.setRole(site, account, role);
  }

  @Delete('members/:account')
  @AnswersNothing()
  @ApiOperation({ summary: 'Take a member out' })
  remove(@Param('site') site: string, @Param('account', ParseUUIDPipe) account: string): Promise<void> {
    return this.members.remove(site, account);
  }

  @Put('keeper')
  @AnswersNothing()
  @ApiOperation({ summary: 'Choose what a keeper may change' })
  setKeeperMay(@Param('site') site: string, @Body() { keeperMay }: KeeperDto): Promise<void> {
    return this.members.setKeeperMay(site, keeperMay);
  }

  @Get('invitations')
  @AnswersList(InvitationDto)
  @ApiOperation({ summary: 'Invitations that are open' })
  open(@Param('site') site: string) {
    return this.invitations.list(site);
  }

  @Post('invitations')
  @Answers(InvitedDto, { status: 201 })
  @ApiOperation({ summary: 'Invite by a link; it is sent, and answered once' })
  invite(@Param('site') site: string, @CurrentCaller() caller: Caller, @Body() { email, role }: InviteDto) {
    return this.invitations.invite(site, caller, email, role);
  }

  @Delete('invitations/:invitation')
  @AnswersNothing()
  @ApiOperation({ summary: 'Take an invitation back' })
  takeBack(
    @Param('site') site: string,
    @Param('invitation', ParseUUIDPipe) invitation: string,
  ): Promise<void> {
    return this.invitations.takeBack(site, invitation);
  }
}
