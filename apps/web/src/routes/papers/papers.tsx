import { useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { paperPath, papersQuery, useAddPaper, type PaperSubject } from '../../api/attachments.js';
import { FileChoice } from '../../kit/file-choice.js';
import { RefusedNote } from '../../kit/problems.js';

/** Papers as they came, beside what they are about: saved from here, and one more added. */
export function Papers({ subject, id }: { readonly subject: PaperSubject; readonly id: string }): ReactNode {
  const { data } = useQuery(papersQuery(subject, id));
  const add = useAddPaper();
  const papers = data ?? [];
  return (
    <div className="actions">
      {papers.map((paper) => (
        <a key={paper.id} href={paperPath(paper.id)} download={paper.name}>
          {paper.name}
        </a>
      ))}
      <FileChoice
        label={papers.length === 0 ? 'Keep the paper' : 'Keep one more'}
        accept=".pdf,.png,.jpg,.jpeg"
        isBusy={add.isPending}
        onFile={(file) => add.mutateAsync({ subject, subjectId: id, ...file })}
      />
      <RefusedNote error={add.error} />
    </div>
  );
}
