import { Controller, Get, type OnModuleDestroy } from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import { Pool } from 'pg';
import { Answers } from '../api/answers';
import { Allow } from '../common/access';
import { ProblemException } from '../common/problem';
import { Config } from '../config/config';
import { PatientClient } from '../database/patientClient';
import { HealthDto } from './dto/health.dto';

@ApiTags('health')
@Controller('api/health')
export class HealthController implements OnModuleDestroy {
  /** A connection of its own: whether the database answers is not asked behind others who wait for it. */
  private readonly pool: Pool;

  constructor({ COVE_DATABASE_URL: connectionString }: Config) {
    this.pool = new Pool({ connectionString, max: 1, Client: PatientClient, connectionTimeoutMillis: 2000 });
    this.pool.on('error', () => {});
  }

  @Get()
  @Allow('anyone')
  @Answers(HealthDto)
  @ApiOperation({ summary: 'Whether the server and its database answer' })
  async health() {
    try {
      await this.pool.query('select 1');
    } catch {
      throw new ProblemException({ code: 'database-away', message: 'The database does not answer.' });
    }
    return { program: 'cove-thread', status: 'ok' };
  }

  async onModuleDestroy(): Promise<void> {
    await this.pool.end();
  }
}
