import 'reflect-metadata';
import { makeApplication } from './application.js';
import { readConfig } from './config/config.js';
import { makeDataSource } from './database/data-source.js';

try {
  const config = readConfig(process.env);
  const dataSource = await makeDataSource(config.databaseUrl).initialize();
  if (await dataSource.showMigrations())
    throw new Error('Zakat cannot start: the database is older than the program. Run the migrate command first.');
  const app = await makeApplication(config, dataSource);
  await app.listen(config.port, '127.0.0.1');
  process.stdout.write(`listening ${config.port}\n`);
} catch (error) {
  process.stderr.write(`${error instanceof Error ? error.message : String(error)}\n`);
  process.exit(1);
}
