export { CorrectionsDue } from './corrections-due.js';
export { type AgencyAnswer, FilingAnswers } from './filing-answers.js';
export { FilingContent, type Loaded } from './filing-content.js';
export { FilingForms } from './filing-forms.js';
export { FilingPapers } from './filing-papers.service.js';
export { FilingSource } from './filing-source.js';
export { submissionIdOf, Transmissions } from './transmissions.service.js';
export { WageStatements } from './wage-statements.service.js';
