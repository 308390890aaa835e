import 'reflect-metadata';
import cluster from 'node:cluster';
import { makeApplication } from './application.js';
import { readConfig, type Config } from './config/config.js';
import { makeDataSource } from './database/data-source.js';
import { serveWith } from './processes.js';

async function serve(config: Config): Promise<void> {
  const dataSource = await makeDataSource(config.databaseUrl).initialize();
  if (await dataSource.showMigrations())
    throw new Error('Zakat cannot start: the database is older than the program. Run the migrate command first.');
  const app = await makeApplication(config, dataSource);
  await app.listen(config.port, '127.0.0.1');
}

try {
  const config = readConfig(process.env);
  const say = (): void => void process.stdout.write(`listening ${config.port}\n`);
  if (cluster.isPrimary && config.processes > 1) serveWith(config.processes, say);
  else {
    await serve(config);
    if (cluster.isPrimary) say();
  }
} catch (error) {
  process.stderr.write(`${error instanceof Error ? error.message : String(error)}\n`);
  process.exit(1);
}
