export { clientIssues, emailIssues, phoneIssues } from './client-checks.js';
export { ClientFactsService } from './client-facts.service.js';
export { formsOnDay, recordedFrequencies, type RecordedFrequency } from './client-forms.js';
export { accountNumberOn, findClient, unemploymentRatesOn } from './clients.service.js';
export { BankAccount, Client, Firm, TaxAccount } from './entities.js';
export { accountOfSchedule, accountWords, findPayingAccount, senderOf } from './paying-account.js';
export { toldApart } from './told-apart.js';
