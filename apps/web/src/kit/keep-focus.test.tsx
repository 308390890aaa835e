import { afterEach, beforeEach, describe, expect, it } from '@jest/globals';
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { useRef, useState, type ReactNode } from 'react';
import { MemoryRouter } from 'react-router';
import { useArrival, WORK } from './arrival.js';
import { useKeptFocus } from './keep-focus.js';

afterEach(cleanup);

describe('the focus', () => {
  it('goes to what takes the place of a control that is gone, and back to one that worked', async () => {
    function Page(): ReactNode {
      const [step, setStep] = useState(0);
      const page = useRef<HTMLElement>(null);
      useKeptFocus(page, true);
      return (
        <main ref={page} tabIndex={-1}>
          <button type="button">elsewhere</button>
          <div>
            {step < 2 ? (
              <button key="one" type="button" disabled={step === 1} onClick={() => setStep(step + 1)}>
                review
              </button>
            ) : (
              <button key="two" type="button">
                post
              </button>
            )}
          </div>
          <button type="button" onClick={() => setStep(2)}>
            done
          </button>
        </main>
      );
    }
    render(<Page />);
    screen.getByText('review').focus();
    fireEvent.click(screen.getByText('review'));
    fireEvent.click(screen.getByText('done'));
    await new Promise((done) => setTimeout(done, 0));
    expect(document.activeElement?.textContent).toBe('post');
  });
});

describe('on arriving at a page', () => {
  function Page({ hasCome }: { readonly hasCome: boolean }): ReactNode {
    const page = useRef<HTMLElement>(null);
    useArrival(page, true);
    return (
      <main ref={page} tabIndex={-1}>
        <a href="#elsewhere">a place of the client</a>
        <div tabIndex={-1} data-testid="below" {...WORK}>
          {hasCome && (
            <button type="button" {...WORK}>
              start
            </button>
          )}
        </div>
      </main>
    );
  }
  const at = (hasCome: boolean): ReactNode => (
    <MemoryRouter>
      <Page hasCome={hasCome} />
    </MemoryRouter>
  );
  const settle = (): Promise<void> => new Promise((done) => setTimeout(done, 0));

  beforeEach(() => void fireEvent.keyDown(document.body, { key: 'Enter' }));
  it('the focus is where its work begins, also when that comes later', async () => {
    const { rerender } = render(at(false));
    expect(document.activeElement).toBe(screen.getByTestId('below'));
    rerender(at(true));
    await settle();
    expect(document.activeElement?.textContent).toBe('start');
  });
  it('somebody who has begun is not moved any more', async () => {
    const { rerender } = render(at(false));
    fireEvent.keyDown(document.body, { key: 'Tab' });
    rerender(at(true));
    await settle();
    expect(document.activeElement).toBe(screen.getByTestId('below'));
  });
  it('a control that has the focus keeps it', async () => {
    const { rerender } = render(at(false));
    screen.getByText('a place of the client').focus();
    rerender(at(true));
    await settle();
    expect(document.activeElement?.textContent).toBe('a place of the client');
  });
  it('whoever pointed at something is left where they are', () => {
    fireEvent.pointerDown(document.body);
    render(at(true));
    expect(document.activeElement).toBe(document.body);
  });
});
