import { afterEach, describe, expect, it } from '@jest/globals';
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { Route } from 'react-router';
import { asked, open, refusal, serve, startAnew, type Answers } from '../../testing/pages.js';
import { Papers } from './papers.js';

afterEach(startAnew);

const paper = { id: 'a1', name: 'letter.pdf', bytes: 9, addedBy: 'Tobias', addedAt: '2026-10-22T12:00:00Z' };
const show = (answers: Answers = {}): void => {
  serve({ 'GET /api/attachments?subject=notice&id=n1': { body: [paper] }, ...answers });
  open('/', <Route path="/" element={<Papers subject="notice" id="n1" />} />);
};
const choose = async (): Promise<void> => {
  await screen.findByRole('button', { name: 'Keep one more' });
  const input = document.querySelector('input[type="file"]');
  if (!input) throw new Error('no file input');
  fireEvent.change(input, { target: { files: [new File(['%PDF-1.7'], 'scan.pdf')] } });
};

describe('papers', () => {
  it('are saved from where they belong, and another is kept', async () => {
    show({ 'POST /api/attachments': { status: 201, body: [paper] } });
    expect((await screen.findByRole('link', { name: 'letter.pdf' })).getAttribute('href')).toBe(
      '/api/attachments/a1/file',
    );
    await choose();
    await waitFor(() =>
      expect(asked.filter((call) => call.startsWith('POST'))).toEqual([
        'POST /api/attachments {"subject":"notice","subjectId":"n1","fileName":"scan.pdf","content":"JVBERi0xLjc="}',
      ]),
    );
  });
  it('say why one is not kept', async () => {
    show({ 'POST /api/attachments': refusal(422, 'The file is no PDF, PNG or JPEG.') });
    await choose();
    expect(await screen.findByText('The file is no PDF, PNG or JPEG.')).toBeTruthy();
  });
});
