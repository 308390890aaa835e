/** Settings, read once at start-up; what is missing or wrong stops the start with advice. */
export interface Config {
  readonly databaseUrl: string;
  readonly port: number;
  /** 32 bytes: encrypts identity numbers and bank accounts. Kept outside the database. */
  readonly key: Buffer;
  readonly clock: 'real' | 'simulated';
  /** Shared with whoever may move a simulated clock. */
  readonly clockToken: string;
  readonly bankUrl: string;
  readonly returnsUrl: string;
  readonly wagesUrl: string;
  readonly statesUrl: string;
  /** Where agencies take debit instructions. */
  readonly debitsUrl: string;
  readonly publicUrl: string;
  /** Folder of the built screens, or null when they are served elsewhere. */
  readonly webFolder: string | null;
  /** How many processes serve the port. */
  readonly processes: number;
}

export const CONFIG = Symbol('config');

export function readConfig(env: NodeJS.ProcessEnv): Config {
  const faults: string[] = [];
  const need = (name: string, advice: string): string => {
    const value = env[name];
    if (!value) faults.push(`${name} is not set: ${advice}`);
    return value ?? '';
  };
  const key = Buffer.from(need('ZAKAT_KEY', 'give 64 hexadecimal digits; `npm start` makes and keeps one'), 'hex');
  if (env['ZAKAT_KEY'] && key.length !== 32) faults.push('ZAKAT_KEY must be 64 hexadecimal digits');
  const clock = env['ZAKAT_CLOCK'] ?? 'real';
  if (clock !== 'real' && clock !== 'simulated') faults.push('ZAKAT_CLOCK must be real or simulated');
  const config: Config = {
    databaseUrl: need('DATABASE_URL', 'give a PostgreSQL address; `npm start` starts a private server and sets it'),
    port: Number(env['PORT'] ?? '4300'),
    key,
    clock: clock === 'simulated' ? 'simulated' : 'real',
    clockToken: env['ZAKAT_CLOCK_TOKEN'] ?? '',
    bankUrl: need('ZAKAT_BANK_URL', "give the address of the bank's file service"),
    returnsUrl: need('ZAKAT_RETURNS_URL', 'give the address of the return filing service'),
    wagesUrl: need('ZAKAT_WAGES_URL', 'give the address of the wage file service'),
    debitsUrl: need('ZAKAT_DEBITS_URL', 'give the address at which agencies take debit instructions'),
    statesUrl: need('ZAKAT_STATES_URL', 'give the address of the filing services of the states'),
    publicUrl: env['ZAKAT_PUBLIC_URL'] ?? `http://localhost:${env['PORT'] ?? '4300'}`,
    webFolder: env['ZAKAT_WEB'] ?? null,
    processes: Number(env['ZAKAT_PROCESSES'] ?? '1'),
  };
  if (!Number.isInteger(config.port) || config.port < 0 || config.port > 65535)
    faults.push('PORT must be a port number');
  if (!Number.isInteger(config.processes) || config.processes < 1 || config.processes > 64)
    faults.push('ZAKAT_PROCESSES must be a whole number from 1 to 64');
  if (config.clock === 'simulated' && config.clockToken.length < 16)
    faults.push('ZAKAT_CLOCK_TOKEN must have at least 16 characters when the clock is simulated');
  if (faults.length > 0) throw new Error(`Zakat cannot start:\n  ${faults.join('\n  ')}`);
  return config;
}
