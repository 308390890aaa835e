export { DirectDepositAnswers } from './direct-deposit-answers.js';
export { DirectDepositsService } from './direct-deposits.service.js';
export { DirectDeposit, DirectDepositEntry } from './entities.js';
export { PayAccounts } from './pay-accounts.js';
export { PayrollPays } from './payroll-pay.js';
