export { GarnishmentPayment } from './entities.js';
export { GarnishmentAnswers } from './garnishment-answers.js';
export { GarnishmentPayments } from './garnishment-payments.service.js';
