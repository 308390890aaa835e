import '@mantine/core/styles.css';
import '@fontsource-variable/source-sans-3/index.css';
import '@fontsource-variable/source-sans-3/wght-italic.css';
import '@fontsource-variable/source-serif-4/index.css';
import '@fontsource-variable/source-serif-4/wght-italic.css';
import './theme/paper.css';
import { MantineProvider } from '@mantine/core';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { RouterProvider, createBrowserRouter } from 'react-router';
import { Refused } from './api/client.js';
import { SecondLook } from './kit/second-look.js';
import { Frame } from './routes/frame.js';
import { SignInPage } from './routes/session/sign-in.js';
import { theme } from './theme/theme.js';

const queries = new QueryClient({
  defaultOptions: {
    queries: {
      retry: (count, error) => count < 2 && error instanceof Refused && error.problem.status === 0,
      staleTime: 2000,
      refetchOnWindowFocus: true,
    },
  },
});

const router = createBrowserRouter([
  { path: '/sign-in', Component: SignInPage },
  {
    path: '/welcome/:token',
    HydrateFallback: () => null,
    lazy: async () => ({ Component: (await import('./routes/session/welcome.js')).WelcomePage }),
  },
  {
    path: '/',
    Component: Frame,
    HydrateFallback: () => null,
    children: [
      { index: true, lazy: async () => ({ Component: (await import('./routes/ladder/ladder.js')).LadderPage }) },
      {
        path: 'payrolls',
        lazy: async () => ({ Component: (await import('./routes/paydays/paydays.js')).PaydaysPage }),
      },
      {
        path: 'deposits',
        lazy: async () => ({ Component: (await import('./routes/due-deposits/due-deposits.js')).DueDepositsPage }),
      },
      {
        path: 'returns',
        lazy: async () => ({ Component: (await import('./routes/due-returns/due-returns.js')).DueReturnsPage }),
      },
      {
        path: 'returns/transmissions',
        lazy: async () => ({
          Component: (await import('./routes/due-returns/transmissions.js')).TransmissionsPage,
        }),
      },
      { path: 'trust', lazy: async () => ({ Component: (await import('./routes/trust/trust.js')).TrustPage }) },
      { path: 'clients', lazy: async () => ({ Component: (await import('./routes/clients/clients.js')).ClientsPage }) },
      { path: 'firm', lazy: async () => ({ Component: (await import('./routes/firm/firm.js')).FirmPage }) },
      {
        path: 'firm/agencies',
        lazy: async () => ({
          Component: (await import('./routes/firm/agency-payments.js')).AgencyPaymentsPage,
        }),
      },
      {
        path: 'firm/payees',
        lazy: async () => ({ Component: (await import('./routes/firm/payees.js')).PayeesPage }),
      },
      {
        path: 'firm/invoices',
        lazy: async () => ({ Component: (await import('./routes/firm/invoices.js')).InvoicesPage }),
      },
      {
        path: 'clients/new',
        lazy: async () => ({ Component: (await import('./routes/clients/new-client.js')).NewClientPage }),
      },
      {
        path: 'people-files/:fileId',
        lazy: async () => ({ Component: (await import('./routes/people-file/people-file.js')).PeopleFilePage }),
      },
      {
        path: 'clients/:clientId',
        lazy: async () => ({ Component: (await import('./routes/clients/client-frame.js')).ClientFrame }),
        children: [
          { index: true, lazy: async () => ({ Component: (await import('./routes/clients/tie-out.js')).TieOutPage }) },
          {
            path: 'people',
            lazy: async () => ({ Component: (await import('./routes/clients/people.js')).PeoplePage }),
          },
          {
            path: 'payrolls',
            lazy: async () => ({ Component: (await import('./routes/clients/payrolls.js')).PayrollsPage }),
          },
          {
            path: 'reports',
            lazy: async () => ({ Component: (await import('./routes/reports/reports.js')).ReportsPage }),
          },
          {
            path: 'journal',
            lazy: async () => ({ Component: (await import('./routes/reports/journal.js')).JournalPage }),
          },
          {
            path: 'recomputed',
            lazy: async () => ({ Component: (await import('./routes/clients/recomputed.js')).RecomputedPage }),
          },
          {
            path: 'checks',
            lazy: async () => ({ Component: (await import('./routes/checks/check-register.js')).CheckRegisterPage }),
          },
          {
            path: 'deposits',
            lazy: async () => ({ Component: (await import('./routes/clients/deposits.js')).DepositsPage }),
          },
          {
            path: 'returns',
            lazy: async () => ({ Component: (await import('./routes/clients/returns.js')).ReturnsPage }),
          },
          {
            path: 'ledger',
            lazy: async () => ({ Component: (await import('./routes/clients/ledger.js')).LedgerPage }),
          },
          {
            path: 'readiness',
            lazy: async () => ({ Component: (await import('./routes/clients/readiness.js')).ReadinessPage }),
          },
          { path: 'funds', lazy: async () => ({ Component: (await import('./routes/clients/funds.js')).FundsPage }) },
          { path: 'items', lazy: async () => ({ Component: (await import('./routes/clients/items.js')).ItemsPage }) },
          { path: 'proof', lazy: async () => ({ Component: (await import('./routes/clients/proof.js')).ProofPage }) },
          {
            path: 'brought-in',
            lazy: async () => ({ Component: (await import('./routes/take-over/brought-in.js')).BroughtInPage }),
          },
          { path: 'facts', lazy: async () => ({ Component: (await import('./routes/clients/facts.js')).FactsPage }) },
        ],
      },
      {
        path: 'employees/:employeeId',
        lazy: async () => ({ Component: (await import('./routes/employee/employee.js')).EmployeePage }),
      },
      {
        path: 'payrolls/:payrollId',
        lazy: async () => ({ Component: (await import('./routes/payroll/payroll.js')).PayrollPage }),
      },
      {
        path: 'payrolls/:payrollId/void',
        lazy: async () => ({ Component: (await import('./routes/void/choose-void.js')).ChooseVoidPage }),
      },
      {
        path: 'payrolls/:payrollId/difference',
        lazy: async () => ({ Component: (await import('./routes/payroll/difference.js')).DifferencePage }),
      },
      {
        path: 'voids/:voidId',
        lazy: async () => ({ Component: (await import('./routes/void/void.js')).VoidPage }),
      },
      {
        path: 'remittances/:remittanceId',
        lazy: async () => ({ Component: (await import('./routes/remittance/remittance.js')).RemittancePage }),
      },
      {
        path: 'garnishment-payments/:paymentId',
        lazy: async () => ({
          Component: (await import('./routes/garnishments/garnishment-payment.js')).GarnishmentPaymentPage,
        }),
      },
      {
        path: 'collections/:collectionId',
        lazy: async () => ({ Component: (await import('./routes/trust/collection.js')).CollectionPage }),
      },
      {
        path: 'corrections/:caseId',
        lazy: async () => ({ Component: (await import('./routes/correction/correction.js')).CorrectionPage }),
      },
      {
        path: 'filings/:filingId',
        lazy: async () => ({ Component: (await import('./routes/filing/filing.js')).FilingPage }),
      },
      {
        path: 'filings/:filingId/working-papers',
        lazy: async () => ({ Component: (await import('./routes/filing/working-papers.js')).WorkingPapersPage }),
      },
      { path: 'rules', lazy: async () => ({ Component: (await import('./routes/rules/rules.js')).RulesPage }) },
      {
        path: 'rules/packs/:packId',
        lazy: async () => ({ Component: (await import('./routes/rules/rule-pack.js')).RulePackPage }),
      },
      { path: 'trail', lazy: async () => ({ Component: (await import('./routes/trail/trail.js')).TrailPage }) },
      { path: '*', lazy: async () => ({ Component: (await import('./routes/nowhere.js')).Nowhere }) },
    ],
  },
]);

const root = document.getElementById('root');
if (!root) throw new Error('the page has no root');
createRoot(root).render(
  <StrictMode>
    <MantineProvider theme={theme} defaultColorScheme="auto">
      <QueryClientProvider client={queries}>
        <RouterProvider router={router} />
        <SecondLook />
      </QueryClientProvider>
    </MantineProvider>
  </StrictMode>,
);
