import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { zipSync } from 'fflate';
import { TOTP, Secret } from 'otpauth';
import { openApiDocument } from '../src/http/open-api.js';
import { harmless } from '../src/modules/tables/write-table.js';
import { readBytes } from '../src/modules/tables/read-bytes.js';
import { Stack, employee, postPayroll, takeOn, until, type Caller } from './stack.js';

let stack: Stack;
let preparer: Caller;
let administrator: Caller;
let foreign: Caller;
let client: Awaited<ReturnType<typeof takeOn>>;
const ids: Record<string, string> = {};
const NOBODY = '00000000-0000-4000-8000-000000000000';

beforeAll(async () => {
  stack = await Stack.start();
  await stack.addFirm('Alder');
  await stack.addFirm('Birch');
  preparer = await stack.signIn('Alder', 'preparer');
  administrator = await stack.signIn('Alder', 'administrator');
  foreign = await stack.signIn('Birch', 'administrator');
  client = await takeOn(preparer, 'YARD', 1);
  ids['clients'] = client.id;
  ids['employees'] = client.employeeIds[0] ?? '';
  ids['payrolls'] = await postPayroll(preparer, client.id);
}, 90_000);
afterAll(() => stack.stop(), 30_000);

type Operation = { readonly method: string; readonly path: string };
const operations = (): Operation[] =>
  Object.entries(openApiDocument(stack.app).paths).flatMap(([path, own]) =>
    Object.keys(own).map((method) => ({ method: method.toUpperCase(), path: path.replace(/^\/api/, '') })),
  );
const RIGHT = 'a-long-enough-password';

describe('what is sent', () => {
  const UNSOUND: readonly [string, string][] = [
    ['NUL', 'a\u0000b'],
    ['a lone surrogate', 'a\ud800b'],
    ['a control character', 'a\u0007b'],
    ['a mark of direction', 'a\u202eb'],
  ];
  it.each(UNSOUND)('%s is refused with its field on every route, before sign-in too', async (_, text) => {
    const before = await stack.call('POST', '/session', { email: text, password: 'x' });
    expect([before.status, before.body.problems?.[0]?.field]).toEqual([400, 'email']);
    const answers = await Promise.all(
      operations()
        .filter(({ method }) => method === 'POST' || method === 'PUT')
        .map(async ({ method, path }) => {
          const at = path.replace(/\{\w+\}/g, client.id);
          const { status } = await preparer(method, at, { deep: [{ name: text }] });
          return `${method} ${path} ${status}`;
        }),
    );
    expect(answers.filter((answer) => !answer.endsWith(' 400'))).toEqual([]);
  });
  it('an address or a query with such a character, given twice, too long or absurd is no error of ours', async () => {
    for (const query of [
      'find=%00',
      'find=a&find=b',
      'find[x]=1',
      `find=${'x'.repeat(400)}`,
      'from=1e999',
      'count=-5',
      'from=99999999999999999999',
      '%ff=1',
    ]) {
      const { status } = await preparer('GET', `/clients?${query}`);
      expect([query.slice(0, 20), status < 500]).toEqual([query.slice(0, 20), true]);
    }
    const twice = await preparer('GET', '/clients?find=a&find=b');
    expect([twice.status, twice.body.problems[0].field]).toEqual([400, 'find']);
    for (const path of [
      '/clients/%00',
      '/clients/%E0%A4%A',
      `/clients/${client.id}/tie-out?year=999999999`,
      `/clients/${client.id}/tie-out?year=-1`,
      `/employees/${ids['employees']}?on=0000-00-00`,
    ])
      expect([path, (await preparer('GET', path)).status < 500]).toEqual([path, true]);
  });
  it('JSON nested without end, or broken, is a 400', async () => {
    const nested = `${'['.repeat(40_000)}${']'.repeat(40_000)}`;
    for (const body of [nested, `{"email":${nested}}`, '{"email":', '"text"', 'null', '{"__proto__":{"x":1}}']) {
      const answer = await fetch(`${stack.url}/session`, {
        method: 'POST',
        headers: { 'Content-Type': 'application/json' },
        body,
      });
      expect([body.slice(0, 12), answer.status]).toEqual([body.slice(0, 12), 400]);
    }
  });
  it('every route answers odd but well-formed values with less than a 500', async () => {
    const odd = {
      a: 1,
      name: '🍕'.repeat(50),
      version: 1,
      from: '2026-02-30',
      value: { x: [[]] },
      items: [],
      entries: [{}],
    };
    const answers = await Promise.all(
      operations().map(async ({ method, path }) => {
        const at = path.replace(/\{\w+\}/g, client.id);
        const { status } = await administrator(
          method,
          `${at}?year=2026&quarter=9`,
          method === 'GET' || method === 'DELETE' ? undefined : odd,
        );
        return `${method} ${path} ${status}`;
      }),
    );
    expect(answers.filter((answer) => / 5\d\d$/.test(answer))).toEqual([]);
    // Somebody was signed out by one of them: that is what it is for.
    administrator = await stack.signIn('Alder', 'administrator');
  });
  it('answers are kept by no cache', async () => {
    for (const path of ['/clients', '/session', '/nowhere'])
      expect((await fetch(`${stack.url}${path}`)).headers.get('cache-control')).toBe('no-store');
  });
  it('a record of another firm is answered like one that does not exist, on every route', async () => {
    const bodies: Record<string, object> = {
      facts: { kind: 'employment', from: '2026-01-01', value: { standing: 'ended' } },
    };
    for (const { method, path } of operations().filter((one) => /\{id\}/.test(one.path))) {
      const noun = path.split('/')[1] ?? '';
      const id = ids[noun];
      if (id === undefined) continue;
      const body = method === 'GET' ? undefined : (bodies[path.split('/').at(-1) ?? ''] ?? { version: 1 });
      const ask = async (one: string) => {
        const at = path.replace('{id}', one).replace(/\{\w+\}/g, NOBODY);
        const { status, body: said } = await foreign(method, `${at}?year=2026`, body);
        return [status, (said as { detail?: string }).detail?.replace(/[0-9a-f-]{36}/g, '')];
      };
      expect([path, await ask(id)]).toEqual([path, await ask(NOBODY)]);
    }
  });
});

describe('names', () => {
  it('keep accents, curly apostrophes and suffixes on screen, and say what the file carries', async () => {
    const made = await preparer('POST', `/clients/${client.id}/employees`, {
      ...employee('7'),
      firstName: 'José',
      lastName: 'O’Muñoz-Łęcki',
      suffix: 'Jr.',
      ssn: '899451177',
    });
    expect(made.status).toBe(201);
    expect(made.body.warnings.map(({ sentence }: { sentence: string }) => sentence)).toEqual([
      expect.stringContaining('the wage file carries Jose'),
      expect.stringContaining("the wage file carries O'Munoz-Lecki"),
      expect.stringContaining('the wage file carries Jr'),
    ]);
    expect((await preparer('GET', `/employees/${String(made.body.id)}`)).body).toMatchObject({
      firstName: 'José',
      lastName: 'O’Muñoz-Łęcki',
      suffix: 'Jr.',
    });
    const emoji = await preparer('POST', `/clients/${client.id}/employees`, {
      ...employee('8'),
      firstName: 'Ada 🍕',
      ssn: '899451178',
    });
    expect([emoji.status, emoji.body.problems[0].field]).toEqual([422, 'firstName']);
  });
});

describe('signing in', () => {
  it('counts guesses that come all at once', async () => {
    const guesses = await Promise.all(
      Array.from({ length: 30 }, (_, index) =>
        stack.call('POST', '/session', { email: 'reviewer@birch.example', password: `guess-${index}` }),
      ),
    );
    const statuses = guesses.map(({ status }) => status);
    expect([
      statuses.filter((status) => status === 401).length,
      statuses.filter((status) => status === 429).length,
    ]).toEqual([5, 25]);
  });
  it('a changed password ends the other sessions, and wrong present ones are counted', async () => {
    const [here, there] = [await stack.signIn('Birch', 'preparer'), await stack.signIn('Birch', 'preparer')];
    const change = (body: object) => here('PUT', '/session/password', body);
    const next = 'harbor pylon eleven quartz';
    for (let index = 0; index < 4; index += 1) expect((await change({ current: 'no', next })).status).toBe(422);
    expect((await change({ current: RIGHT, next })).status).toBe(204);
    expect([(await here('GET', '/session')).status, (await there('GET', '/session')).status]).toEqual([200, 401]);
    for (let index = 0; index < 5; index += 1) expect((await change({ current: 'no', next })).status).toBe(422);
    expect((await change({ current: next, next: `${next} more` })).status).toBe(429);
  });
  it.each([
    ['too short', 'short one', /fewer than 12/],
    ['repeats', 'aaaaaaaaaaaaaaaa', /repeats|common/],
    ['repeats words', 'abcabcabcabcabc', /repeats|common/],
    ['is common', 'password1234', /common|repeats/],
    ['is common', 'qwertyuiop12345', /common|repeats/],
    ['is the account', 'preparer@alder.example', /made of the name/],
    ['is the name', 'Alder preparer Alder 1', /made of the name/],
  ])('a password that %s is refused: %s', async (_, next, says) => {
    const refused = await preparer('PUT', '/session/password', { current: RIGHT, next });
    expect([refused.status, refused.body.problems?.[0]?.field]).toEqual([next.length < 12 ? 400 : 422, 'next']);
    if (next.length >= 12) expect(refused.body.detail).toMatch(says);
  });
  it('with a second factor, changing the password and taking the factor away ask for it and count the guesses', async () => {
    const email = 'second@alder.example';
    const first = 'marble canoe ninety thistle';
    const added = await administrator('POST', '/users', {
      name: 'Second Person',
      email,
      role: 'preparer',
      password: first,
    });
    expect(added.status).toBe(201);
    const signIn = async () => {
      const answer = await fetch(`${stack.url}/session`, {
        method: 'POST',
        headers: { 'Content-Type': 'application/json' },
        body: JSON.stringify({ email, password: first }),
      });
      const cookie = (answer.headers.get('set-cookie') ?? '').split(';')[0] ?? '';
      return (method: string, path: string, body?: object) => stack.call(method, path, body, { cookie });
    };
    const own = await signIn();
    const { secret } = (await own('POST', '/session/second-factor')).body as { secret: string };
    const codeNow = () => new TOTP({ secret: Secret.fromBase32(secret) }).generate();
    expect((await own('POST', '/session/second-factor/confirm', { code: codeNow() })).status).toBe(204);
    const next = 'copper lantern seven walrus';
    const without = await own('PUT', '/session/password', { current: first, next });
    expect([without.status, without.body.problems[0].field]).toEqual([422, 'code']);
    for (let index = 0; index < 4; index += 1)
      expect((await own('POST', '/session/second-factor/remove', { code: '000000' })).status).toBe(422);
    expect((await own('POST', '/session/second-factor/remove', { code: codeNow() })).status).toBe(429);
  });
});

describe('answers to questions', () => {
  it('are sealed in the database', async () => {
    const other = await takeOn(preparer, 'SEALED', 1);
    await preparer('POST', `/clients/${other.id}/questions`, { chaseOn: '2026-11-02' });
    const asked = (await preparer('GET', `/clients/${other.id}/questions`)).body as { id: string; version: number }[];
    const [question] = asked;
    if (!question) throw new Error('nothing was asked');
    const answer = '89 Thistle Street, who lives there since May';
    expect(
      (await preparer('POST', `/questions/${question.id}/answer`, { version: question.version, answer })).status,
    ).toBe(204);
    const stored = (await stack.dataSource.query('SELECT * FROM question WHERE id = $1', [question.id])) as object[];
    expect(JSON.stringify(stored)).not.toContain('Thistle');
    const read = (await preparer('GET', `/clients/${other.id}/questions`)).body as { id: string; answer: string }[];
    expect(read.find(({ id }) => id === question.id)?.answer).toBe(answer);
  });
});

describe('a file', () => {
  const upload = (content: Buffer, fileName: string) =>
    preparer('POST', `/clients/${client.id}/people-files`, { fileName, content: content.toString('base64') });
  const workbook = (sheet: string, styles = ''): Buffer =>
    Buffer.from(
      zipSync({
        '[Content_Types].xml': Buffer.from(
          '<?xml version="1.0"?><Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types"><Default Extension="xml" ContentType="application/xml"/></Types>',
        ),
        '_rels/.rels': Buffer.from(
          '<?xml version="1.0"?><Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships"><Relationship Id="r1" Type="http://schemas.openxmlformats.org/officeDocument/2006/relationships/officeDocument" Target="xl/workbook.xml"/></Relationships>',
        ),
        'xl/workbook.xml': Buffer.from(
          '<?xml version="1.0"?><workbook xmlns="http://schemas.openxmlformats.org/spreadsheetml/2006/main" xmlns:r="http://schemas.openxmlformats.org/officeDocument/2006/relationships"><sheets><sheet name="S" sheetId="1" r:id="r1"/></sheets></workbook>',
        ),
        'xl/_rels/workbook.xml.rels': Buffer.from(
          '<?xml version="1.0"?><Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships"><Relationship Id="r1" Type="http://schemas.openxmlformats.org/officeDocument/2006/relationships/worksheet" Target="worksheets/sheet1.xml"/><Relationship Id="r2" Type="http://schemas.openxmlformats.org/officeDocument/2006/relationships/styles" Target="styles.xml"/></Relationships>',
        ),
        'xl/styles.xml': Buffer.from(
          `<?xml version="1.0"?><styleSheet xmlns="http://schemas.openxmlformats.org/spreadsheetml/2006/main">${styles}</styleSheet>`,
        ),
        'xl/worksheets/sheet1.xml': Buffer.from(
          `<?xml version="1.0"?><worksheet xmlns="http://schemas.openxmlformats.org/spreadsheetml/2006/main"><sheetData>${sheet}</sheetData></worksheet>`,
        ),
      }),
    );
  it.each([
    [
      'one cell in the last column of the last row',
      () => workbook('<row r="1048576"><c r="XFD1048576"><v>1</v></c></row>'),
      'x.xlsx',
      /at most 120 columns/,
    ],
    [
      'one cell in the last row',
      () => workbook('<row r="1048576"><c r="A1048576"><v>1</v></c></row>'),
      'x.xlsx',
      /at most 20,000 rows/,
    ],
    ['a line of a million commas', () => Buffer.from(','.repeat(1_000_000)), 'x.csv', /at most 100,000 characters/],
    ['a row of a thousand columns', () => Buffer.from(`a,b\n${','.repeat(1000)}`), 'x.csv', /at most 120 columns/],
    ['rows without end', () => Buffer.from('a,b\n'.repeat(30_000)), 'x.csv', /at most 20,000 rows/],
    ['no workbook', () => Buffer.from('PK\u0003\u0004 and nothing'), 'x.xlsx', /CSV or an XLSX workbook/],
  ])('%s is refused in a sentence, and nobody waits', async (_, content, name, says) => {
    const [refused, meanwhile] = await Promise.all([upload(content(), name), preparer('GET', '/session')]);
    expect([refused.status, refused.body.problems?.[0]?.field]).toEqual([422, 'file']);
    expect(refused.body.detail).toMatch(says);
    expect(meanwhile.status).toBe(200);
  });
  it('a cell that shows 5% is read as 5%, whatever it holds', async () => {
    const content = workbook(
      '<row r="1"><c r="A1" t="inlineStr"><is><t>Rate</t></is></c><c r="B1" t="inlineStr"><is><t>Deferral</t></is></c></row><row r="2"><c r="A2"><v>0.05</v></c><c r="B2" s="1"><v>0.05</v></c></row><row r="3"><c r="A3"><v>21.5</v></c><c r="B3" s="2"><v>0.125</v></c></row>',
      '<numFmts count="1"><numFmt numFmtId="164" formatCode="0.0%"/></numFmts><fonts count="1"><font/></fonts><fills count="1"><fill/></fills><borders count="1"><border/></borders><cellXfs count="3"><xf numFmtId="0"/><xf numFmtId="9"/><xf numFmtId="164"/></cellXfs>',
    );
    expect(await readBytes(content)).toEqual([
      ['Rate', 'Deferral'],
      ['0.05', '5%'],
      ['21.5', '12.5%'],
    ]);
  });
  it.each([
    '=1+1',
    ' =1+1',
    '\t=1',
    '\u00a0=1',
    '\u200b@x',
    '+1+1',
    '-1+1',
    '--1',
    '@SUM(1)',
    '＝1',
    '|calc',
    '"=1',
    '\r=1',
    '-2+3+cmd',
  ])('a cell %j is written so that no program takes it for a formula', (cell) =>
    expect(harmless(cell)).toBe(`'${cell}`),
  );
  it.each(['-12.50', '-1,250.00', '12', 'O’Hara', 'a=b', '5%'])('a cell %j stays as it is', (cell) =>
    expect(harmless(cell)).toBe(cell),
  );
});

describe('a killed database backend', () => {
  it('is one failed answer at the most: the server goes on', async () => {
    await stack.dataSource
      .query(
        'SELECT pg_terminate_backend(pid) FROM pg_stat_activity WHERE datname = current_database() AND pid <> pg_backend_pid()',
      )
      .catch(() => undefined);
    const answer = await until(
      () => preparer('GET', '/clients').catch(() => ({ status: 0, body: null })),
      ({ status }) => status === 200,
    );
    expect(answer.status).toBe(200);
  });
});
