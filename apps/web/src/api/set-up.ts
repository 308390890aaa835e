import { lookingTwice } from './second-look.js';
import { queryOptions, useMutation } from '@tanstack/react-query';
import { Refused, api, take, type Schemas } from './client.js';
import { path, useChange } from './resources.js';

/** Query options and mutations of setting up: the firm, clients, people, their files, readiness and questions. */
export const firmQuery = queryOptions({ queryKey: ['firm'], queryFn: () => take(api.GET('/api/firm')) });
export const usersQuery = queryOptions({ queryKey: ['users'], queryFn: () => take(api.GET('/api/users')) });
export const verificationQuery = queryOptions({
  queryKey: ['trail', 'verification'],
  queryFn: () => take(api.GET('/api/audit/verification')),
});
export const readinessQuery = (id: string) =>
  queryOptions({
    queryKey: ['client', id, 'readiness'],
    queryFn: () => take(api.GET('/api/clients/{id}/readiness', path(id))),
  });
export const questionsQuery = (id: string) =>
  queryOptions({
    queryKey: ['client', id, 'questions'],
    queryFn: () => take(api.GET('/api/clients/{id}/questions', path(id))),
  });
export const proofsQuery = (id: string) =>
  queryOptions({
    queryKey: ['client', id, 'proofs'],
    queryFn: () => take(api.GET('/api/clients/{id}/proofs', path(id))),
  });
export const newHiresQuery = (id: string) =>
  queryOptions({
    queryKey: ['client', id, 'new-hires'],
    queryFn: () => take(api.GET('/api/clients/{id}/new-hires', path(id))),
  });
export const peopleFilesQuery = (id: string) =>
  queryOptions({
    queryKey: ['client', id, 'people-files'],
    queryFn: () => take(api.GET('/api/clients/{id}/people-files', path(id))),
  });
export const peopleFileQuery = (id: string) =>
  queryOptions({ queryKey: ['people-file', id], queryFn: () => take(api.GET('/api/people-files/{id}', path(id))) });
/** Asked again and again while a file is being taken on. */
export const peopleFileProgressQuery = (id: string, isUnderWay: boolean) =>
  queryOptions({
    queryKey: ['people-file-progress', id],
    queryFn: () => take(api.GET('/api/people-files/{id}/progress', path(id))),
    enabled: isUnderWay,
    refetchInterval: 250,
    staleTime: 0,
  });
export const crossingsQuery = (id: string) =>
  queryOptions({
    queryKey: ['employee', id, 'crossings'],
    queryFn: () => take(api.GET('/api/employees/{id}/crossings', path(id))),
  });
/** A trial paycheck: asked again whenever what is being considered changes. */
export const trialQuery = (id: string, asked: Schemas['AskTrial']) =>
  queryOptions({
    queryKey: ['client', id, 'trial', JSON.stringify(asked)],
    queryFn: () => take(api.POST('/api/clients/{id}/trials', { ...path(id), body: asked })),
    placeholderData: (before: Schemas['TrialView'] | undefined) => before,
  });

export const useCreateClient = () =>
  useChange((body: Schemas['CreateClient']) =>
    lookingTwice((confirmed) => take(api.POST('/api/clients', { body: { ...body, confirmed } }))),
  );
/** A fact as a form makes it; the server checks its kind and value. */
interface GivenFact {
  readonly kind: string;
  readonly from: string;
  readonly value: Record<string, unknown>;
}
export const useAddClientFact = (id: string) =>
  useChange((fact: GivenFact) =>
    take(api.POST('/api/clients/{id}/facts', { ...path(id), body: fact as Schemas['ClientFact'] })),
  );
export const useAddDefault = () =>
  useChange((fact: GivenFact) => take(api.POST('/api/firm/defaults', { body: fact as Schemas['ClientFact'] })));
export const useAddTaxAccount = (id: string) =>
  useChange((body: Schemas['CreateTaxAccount']) =>
    take(api.POST('/api/clients/{id}/tax-accounts', { ...path(id), body })),
  );
export const useAddBankAccount = (id: string) =>
  useChange((body: Schemas['CreateBankAccount']) =>
    take(api.POST('/api/clients/{id}/bank-accounts', { ...path(id), body })),
  );
export const useCreateEmployee = (clientId: string) =>
  useChange((body: Schemas['CreateEmployee']) =>
    lookingTwice((confirmed) =>
      take(api.POST('/api/clients/{id}/employees', { ...path(clientId), body: { ...body, confirmed } })),
    ),
  );
export const useAddFact = (employeeId: string) =>
  useChange((fact: GivenFact) =>
    lookingTwice((confirmed) =>
      take(
        api.POST('/api/employees/{id}/facts', {
          ...path(employeeId),
          body: { ...(fact as Schemas['Fact']), confirmed },
        }),
      ),
    ),
  );
/** What a change of many records would do to each of them; nothing is recorded. */
export const useForeseeChanges = (clientId: string) =>
  useMutation<Schemas['ForeseenChange'][], Refused, Schemas['ForeseeChanges']>({
    mutationFn: (body) => take(api.POST('/api/clients/{id}/changes-for-many/foresee', { ...path(clientId), body })),
  });
export const useMakeChanges = (clientId: string) =>
  useChange((body: Schemas['MakeChanges']) =>
    lookingTwice((confirmed) =>
      take(api.POST('/api/clients/{id}/changes-for-many', { ...path(clientId), body: { ...body, confirmed } })),
    ),
  );
export const useUploadPeople = (clientId: string) =>
  useChange((body: Schemas['UploadPeople']) =>
    take(api.POST('/api/clients/{id}/people-files', { ...path(clientId), body })),
  );
export const useChooseMapping = (id: string) =>
  useChange((body: Schemas['ChooseMapping']) => take(api.PUT('/api/people-files/{id}/mapping', { ...path(id), body })));
type FileChange =
  | { readonly what: 'heading'; readonly body: Schemas['ChooseHeading'] }
  | { readonly what: 'skip'; readonly body: Schemas['SkipRow'] }
  | { readonly what: 'cell'; readonly body: Schemas['CorrectCell'] };
/** Changes what is read of a file of employees: its headings, a row, a cell. */
export const useChangeFile = (id: string) =>
  useChange((change: FileChange) => {
    if (change.what === 'heading')
      return take(api.PUT('/api/people-files/{id}/heading', { ...path(id), body: change.body }));
    if (change.what === 'skip') return take(api.PUT('/api/people-files/{id}/skip', { ...path(id), body: change.body }));
    return take(api.PUT('/api/people-files/{id}/cell', { ...path(id), body: change.body }));
  });
export const usePeopleFileAct = (id: string) =>
  useChange(async ({ act, version }: { act: 'accept' | 'undo' | 'discard'; version: number }): Promise<void> => {
    const body = { version };
    if (act === 'accept') await take(api.POST('/api/people-files/{id}/accept', { ...path(id), body }));
    else if (act === 'undo') await take(api.POST('/api/people-files/{id}/undo', { ...path(id), body }));
    else await take(api.POST('/api/people-files/{id}/discard', { ...path(id), body }));
  });
export const usePassGap = (clientId: string) =>
  useChange((body: Schemas['PassGap']) => take(api.POST('/api/clients/{id}/gap-passes', { ...path(clientId), body })));
export const useAskQuestions = (clientId: string) =>
  useChange((body: Schemas['AskQuestions']) =>
    take(api.POST('/api/clients/{id}/questions', { ...path(clientId), body })),
  );
export const useQuestionAct = () =>
  useChange(
    async (given: {
      id: string;
      act: 'answer' | 'reopen' | 'accept' | 'withdraw';
      version: number;
      answer: string;
    }): Promise<void> => {
      const { id, act, version, answer } = given;
      if (act === 'answer')
        await take(api.POST('/api/questions/{id}/answer', { ...path(id), body: { version, answer } }));
      else if (act === 'reopen') await take(api.POST('/api/questions/{id}/reopen', { ...path(id), body: { version } }));
      else if (act === 'accept') await take(api.POST('/api/questions/{id}/accept', { ...path(id), body: { version } }));
      else await take(api.POST('/api/questions/{id}/withdraw', { ...path(id), body: { version } }));
    },
  );
export const useKeepProof = (clientId: string) =>
  useChange((body: Schemas['KeepProof']) => take(api.POST('/api/clients/{id}/proofs', { ...path(clientId), body })));
export const useProofAct = () =>
  useChange(async ({ id, act }: { id: string; act: 'accept' | 'withdraw' }): Promise<void> => {
    if (act === 'accept') await take(api.POST('/api/proofs/{id}/accept', path(id)));
    else await take(api.POST('/api/proofs/{id}/withdraw', path(id)));
  });
export const useReportNewHires = (clientId: string) =>
  useChange((body: Schemas['ReportNewHires']) =>
    take(api.POST('/api/clients/{id}/new-hires', { ...path(clientId), body })),
  );
export const agencyPaymentsQuery = queryOptions({
  queryKey: ['firm', 'agency-payments'],
  queryFn: () => take(api.GET('/api/firm/agency-payments')),
});
export const useSaveAgencyPayment = (agency: string) =>
  useChange((body: Schemas['SaveAgencyPayment']) =>
    take(api.PUT('/api/firm/agency-payments/{agency}', { params: { path: { agency } }, body })),
  );
export const enrollmentsQuery = (clientId: string) =>
  queryOptions({
    queryKey: ['clients', clientId, 'enrollments'],
    queryFn: () => take(api.GET('/api/clients/{id}/enrollments', path(clientId))),
  });
export const useAskEnrollment = (clientId: string) =>
  useChange((body: Schemas['AskEnrollment']) =>
    take(api.POST('/api/clients/{id}/enrollments', { ...path(clientId), body })),
  );
export const useEnrollmentAct = (id: string) =>
  useChange((body: Schemas['EnrollmentAct']) => take(api.POST('/api/enrollments/{id}', { ...path(id), body })));
export const useUpdateFirm = () => useChange((body: Schemas['UpdateFirm']) => take(api.PUT('/api/firm', { body })));
export const useSwitchSecondPerson = () =>
  useChange((body: Schemas['SwitchSecondPerson']) => take(api.PUT('/api/firm/second-person', { body })));
export const useKeepAgentPin = () =>
  useChange((body: Schemas['AgentPin']) => take(api.PUT('/api/firm/agent-pin', { body })));
export const useCreateUser = () => useChange((body: Schemas['CreateUser']) => take(api.POST('/api/users', { body })));
export const useUpdateUser = () =>
  useChange(({ id, ...body }: Schemas['UpdateUser'] & { id: string }) =>
    take(api.PUT('/api/users/{id}', { ...path(id), body })),
  );
export const useSignOutEverywhere = () =>
  useChange((id: string) => take(api.POST('/api/users/{id}/sign-out-everywhere', path(id))));
export const useOfferSecondFactor = () =>
  useMutation<Schemas['SecondFactorOffer'], Refused, void>({
    mutationFn: () => take(api.POST('/api/session/second-factor')),
  });
export const useSecondFactorAct = () =>
  useMutation<void, Refused, { act: 'confirm' | 'remove'; code: string }>({
    mutationFn: async ({ act, code }) => {
      if (act === 'confirm') await take(api.POST('/api/session/second-factor/confirm', { body: { code } }));
      else await take(api.POST('/api/session/second-factor/remove', { body: { code } }));
    },
  });
export const useChangePassword = () =>
  useMutation<void, Refused, Schemas['ChangePassword']>({
    mutationFn: async (body) => {
      await take(api.PUT('/api/session/password', { body }));
    },
  });
