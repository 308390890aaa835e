import { queryOptions, useQueryClient } from '@tanstack/react-query';
import { api, take, type Schemas } from './client.js';
import { path, useChange } from './resources.js';

export const workingPapersQuery = (filingId: string) =>
  queryOptions({
    queryKey: ['working-papers', filingId],
    queryFn: () => take(api.GET('/api/filings/{id}/working-papers', path(filingId))),
  });

/** The answer is the papers as they are then. */
const useKept = (filingId: string) => {
  const client = useQueryClient();
  return (papers: Schemas['WorkingPapersView']): Schemas['WorkingPapersView'] => {
    client.setQueryData(workingPapersQuery(filingId).queryKey, papers);
    return papers;
  };
};
export const useMark = (filingId: string) => {
  const keep = useKept(filingId);
  return useChange((body: Schemas['MakeMark']) =>
    take(api.POST('/api/filings/{id}/marks', { ...path(filingId), body })).then(keep),
  );
};
export const useClearMark = (filingId: string) => {
  const keep = useKept(filingId);
  return useChange(({ id, answer }: { readonly id: string; readonly answer: string }) =>
    take(api.POST('/api/marks/{id}/clear', { ...path(id), body: { answer } })).then(keep),
  );
};
export const useRequireMarks = () =>
  useChange((body: Schemas['RequireMarks']) => take(api.PUT('/api/firm/marks', { body })));
