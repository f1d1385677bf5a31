import { plainToInstance, Transform } from 'class-transformer';
import { IsIn, IsInt, IsNotEmpty, IsString, IsUrl, Max, Min, validateSync } from 'class-validator';

/** What the server is told by environment variables. */
export class Config {
  /** Port of the program. */
  @Transform(({ value }) => Number(value))
  @IsInt()
  @Min(0)
  @Max(65535)
  COVE_PORT = 4310;

  /** Port of the published sites. */
  @Transform(({ value }) => Number(value))
  @IsInt()
  @Min(0)
  @Max(65535)
  COVE_SITES_PORT = 4311;

  /** Folder for assets and releases. */
  @IsString()
  @IsNotEmpty()
  COVE_DATA: string;

  @IsUrl({ protocols: ['postgres', 'postgresql'], require_tld: false, require_protocol: true })
  COVE_DATABASE_URL: string;

  /** Address at which browsers reach the program; unsafe requests must come from it. */
  @IsUrl({ require_tld: false, require_protocol: true })
  COVE_ORIGIN = 'http://localhost:4310';

  /** Address at which browsers reach published sites: another host than the program's, so that no cookie is shared. */
  @IsUrl({ require_tld: false, require_protocol: true })
  COVE_SITES_ORIGIN = 'http://127.0.0.1:4311';

  /** Built interface; nothing is served where empty. */
  @IsString()
  COVE_WEB = '';

  /** Folder of the built programs that run as threads and processes of their own; beside the built server where empty. */
  @IsString()
  COVE_PARTS = '';

  @IsString()
  COVE_LOG_LEVEL = 'info';

  /** Which demo sites are laid at the start, where they are missing. */
  @IsIn(['off', 'small', 'large'])
  COVE_DEMO: 'off' | 'small' | 'large' = 'small';

  /** Whether the demo is published when it is laid, so that its address shows something from the start. */
  @IsIn(['off', 'on'])
  COVE_DEMO_LIVE: 'off' | 'on' = 'off';

  /**
   * Who may read the simulated mail. `members`: each the letters to their own address, and designers those of their
   * sites. `open`: whoever can reach the program, for one’s own machine, where a new account’s link could not be read
   * otherwise.
   */
  @IsIn(['members', 'open'])
  COVE_OUTBOX: 'members' | 'open' = 'members';

  /** How services of others answer, which are all simulated: with delay and now and then not at all, at once, or never. */
  @IsIn(['usual', 'quick', 'failing'])
  COVE_OUTSIDE: 'usual' | 'quick' | 'failing' = 'usual';

  /** How many proxies stand before the server, so that the address a request comes from can be told. */
  @Transform(({ value }) => Number(value))
  @IsInt()
  @Min(0)
  @Max(10)
  COVE_PROXIES = 0;
}

/** Reads and checks the environment; throws with every fault named. */
export function readConfig(environment: NodeJS.ProcessEnv): Config {
  const names = Object.keys(plainToInstance(Config, {})).concat('COVE_DATA', 'COVE_DATABASE_URL');
  const given = Object.fromEntries(
    names.flatMap(name => (environment[name] === undefined ? [] : [[name, environment[name]]])),
  );
  const config = plainToInstance(Config, given, { exposeDefaultValues: true });
  if (given.COVE_ORIGIN === undefined) config.COVE_ORIGIN = `http://localhost:${config.COVE_PORT}`;
  if (given.COVE_SITES_ORIGIN === undefined)
    config.COVE_SITES_ORIGIN = `http://127.0.0.1:${config.COVE_SITES_PORT}`;
  const faults = validateSync(config, { whitelist: true });
  if (faults.length > 0)
    throw new Error(
      `Bad configuration:\n${faults.map(fault => `  ${fault.property}: ${Object.values(fault.constraints ?? {}).join(', ')}`).join('\n')}`,
    );
  return config;
}
