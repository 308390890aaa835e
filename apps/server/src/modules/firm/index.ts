export { refuseUnlessAdministrator } from './administrator.js';
