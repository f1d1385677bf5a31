import { KEEPER_MAY, type KeeperMay, ROLE_NAMES, type RoleName } from '@cove/core';
import { ApiProperty } from '@nestjs/swagger';
import { IsEmail, IsIn, MaxLength } from 'class-validator';

export class RoleDto {
  @ApiProperty({ enum: ROLE_NAMES })
  @IsIn(ROLE_NAMES)
  role: RoleName;
}

export class InviteDto extends RoleDto {
  @ApiProperty({ example: 'ines@tolvane.example' })
  @IsEmail({}, { message: 'Enter an email address.' })
  @MaxLength(254)
  email: string;
}

export class KeeperDto {
  @ApiProperty({ enum: KEEPER_MAY, description: 'The most a keeper of this site may change' })
  @IsIn(KEEPER_MAY)
  keeperMay: KeeperMay;
}
