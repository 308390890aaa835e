export { findEmployee, fullName, numbersOf } from './employees.service.js';
export { Employee } from './entities.js';
export { TakeOn } from './take-on.js';
