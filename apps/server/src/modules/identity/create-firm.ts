import { checkEin, checkRouting } from '@zakat/core/identity/numbers';
import { sentence } from '@zakat/core/issues/issue';
import argon2 from 'argon2';
import { randomUUID } from 'node:crypto';
import type { DataSource } from 'typeorm';

export interface FirmFile {
  firm: {
    name: string;
    ein: string;
    street: string;
    city: string;
    state: string;
    zip: string;
    phone: string;
    email: string;
    contactName: string;
    preparerName: string;
    preparerPtin: string;
    efw2UserId: string;
    efin?: string;
  };
  users: { name: string; email: string; role: string; password: string }[];
  payees: { agency: string; name: string; routing: string; account: string }[];
}

/** Sets up a firm with its first users and the agencies it pays. Refuses a second time with the same users. */
export async function createFirm(
  dataSource: DataSource,
  file: FirmFile,
  hashOf: (password: string) => Promise<string> = (password) => argon2.hash(password),
): Promise<void> {
  const issues = [
    ...checkEin(file.firm.ein, 'firm.ein'),
    ...file.payees.flatMap((payee) => checkRouting(payee.routing, `payees ${payee.agency}`)),
  ];
  if (issues.length > 0) throw new Error(issues.map((issue) => `${issue.field}: ${sentence(issue)}`).join('\n'));
  const weak = file.users.find((user) => user.password.length < 12);
  if (weak) throw new Error(`the password of ${weak.email} has fewer than 12 characters`);
  const { firm } = file;
  const id = randomUUID();
  await dataSource.transaction(async (manager) => {
    await manager.query(
      'INSERT INTO firm (id, name, ein, street, city, state, zip, phone, email, contact_name, preparer_name, preparer_ptin, efw2_user_id, efin) VALUES ($1,$2,$3,$4,$5,$6,$7,$8,$9,$10,$11,$12,$13,$14)',
      [
        id,
        firm.name,
        firm.ein,
        firm.street,
        firm.city,
        firm.state,
        firm.zip,
        firm.phone,
        firm.email,
        firm.contactName,
        firm.preparerName,
        firm.preparerPtin,
        firm.efw2UserId,
        firm.efin ?? '',
      ],
    );
    for (const user of file.users) {
      await manager.query(
        'INSERT INTO app_user (id, firm_id, email, name, role, password_hash) VALUES ($1,$2,$3,$4,$5,$6)',
        [randomUUID(), id, user.email.toLowerCase(), user.name, user.role, await hashOf(user.password)],
      );
    }
    for (const payee of file.payees)
      await manager.query(
        `INSERT INTO agency_payee (id, firm_id, agency, name, routing, account, identification)
         VALUES ($1,$2,$3,$4,$5,$6, CASE WHEN $3 = 'IRS' THEN 'ein' ELSE 'account' END)`,
        [randomUUID(), id, payee.agency, payee.name, payee.routing, payee.account],
      );
  });
}
