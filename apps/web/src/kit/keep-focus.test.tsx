import { afterEach, describe, expect, it } from '@jest/globals';
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { useRef, useState, type ReactNode } from 'react';
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
