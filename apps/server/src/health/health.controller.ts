import { Controller, Get } from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource } from 'typeorm';
import { Allow } from '../common/access';
import { ProblemException } from '../common/problem';

@ApiTags('health')
@Controller('api/health')
export class HealthController {
  constructor(@InjectDataSource() private readonly database: DataSource) {}

  @Get()
  @Allow('anyone')
  @ApiOperation({ summary: 'Whether the server and its database answer' })
  async health() {
    try {
      await this.database.query('select 1');
    } catch {
      throw new ProblemException({ code: 'database-away', message: 'The database does not answer.' });
    }
    return { program: 'cove-thread', status: 'ok' };
  }
}
