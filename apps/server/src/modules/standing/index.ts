export { OLD_HIRE_DAYS, ReadinessGate } from './readiness-gate.js';
export { passes, passKey, personStanding, reportedHires } from './standing.js';
