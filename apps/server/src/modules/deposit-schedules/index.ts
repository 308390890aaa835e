export { DepositSchedules } from './deposit-schedules.js';
