import { readFileSync } from 'node:fs';
import { makeService, type Settings } from './service.js';

const env = process.env;
const facts = env['AGENCIES_FACTS']
  ? (JSON.parse(readFileSync(env['AGENCIES_FACTS'], 'utf8')) as Partial<Settings>)
  : {};
const { app } = makeService({
  folder: env['AGENCIES_FOLDER'] ?? '.agencies',
  today: env['AGENCIES_TODAY'] ?? new Date().toISOString().slice(0, 10),
  clockUrl: env['AGENCIES_CLOCK_URL'] ?? null,
  clockToken: env['AGENCIES_CLOCK_TOKEN'] ?? '',
  taxpayers: facts.taxpayers ?? [],
  refusedNumbers: facts.refusedNumbers ?? [],
});
const port = Number(env['AGENCIES_PORT'] ?? '4400');
const server = app.listen(port, '127.0.0.1', () => process.stdout.write(`listening ${port}\n`));
server.on('error', (error) => {
  process.stderr.write(`the stand-ins cannot listen on port ${port}: ${error.message}\n`);
  process.exit(1);
});
for (const signal of ['SIGTERM', 'SIGINT'] as const) process.on(signal, () => server.close(() => process.exit(0)));
