export { createFirm, type FirmFile } from './create-firm.js';
export { COOKIE, CurrentSession, Open, OpenToContacts, OpenToEmployees } from './guard.js';
export { refuseWeak } from './passwords.js';
export { SecondFactor } from './second-factor.js';
export type { Session } from './sessions.js';
