export { agenciesSetUp, agencyPaymentOf } from './agency-payments.service.js';
export { Deposits } from './deposits.js';
export { Remittance, RemittanceItem } from './entities.js';
export { PaymentFile } from './payment-file.js';
export { type BankAnswer, RemittanceAnswers } from './remittance-answers.js';
export { RemittancesService } from './remittances.service.js';
