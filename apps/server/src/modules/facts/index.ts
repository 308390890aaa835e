export {
  clientFactIssues,
  employeeFactIssues,
  FactStore,
  type GivenFact,
  inForceIds,
  type SignedFact,
  type StoredFact,
  withoutSecrets,
} from './fact-store.js';
