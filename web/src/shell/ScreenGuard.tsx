import { Component, type ReactNode } from 'react';
import { dropEarlyWords } from '../season/fromPage';
import { forgetKnown } from '../season/known';

/** How often it is tried again, and when the connection is back. */
const AGAIN_MS = 5000;

/** What browsers say of a part of the code that could not be fetched. */
const NOT_FETCHED = /dynamically imported module|module script|failed to fetch|preload css/i;

type Failed = 'fetched' | 'broken';

/**
 * A screen that could not be fetched says so, keeps what is typed elsewhere, and comes by itself once there is a connection. One
 * that breaks is drawn anew without what the device kept of answers, on which it may have broken.
 */
export class ScreenGuard extends Component<{ children: ReactNode }, { failed: Failed | null }> {
  override state: { failed: Failed | null } = { failed: null };
  private timer: number | undefined;

  static getDerivedStateFromError(error: unknown): { failed: Failed } {
    return { failed: NOT_FETCHED.test(error instanceof Error ? error.message : '') ? 'fetched' : 'broken' };
  }

  private readonly reload = () => {
    const ready = this.state.failed === 'broken' ? forgetKnown() : Promise.resolve();
    void ready.finally(() => window.location.reload());
  };

  private readonly again = () => {
    window.clearInterval(this.timer);
    // What was not fetched is asked for anew by a page of its own.
    if (navigator.onLine)
      void fetch('/up')
        .then((answer) => answer.ok && this.reload())
        .catch(() => undefined);
  };

  override componentDidCatch() {
    dropEarlyWords();
    this.timer = window.setInterval(this.again, AGAIN_MS);
    window.addEventListener('online', this.again);
  }

  override componentWillUnmount() {
    window.clearInterval(this.timer);
    window.removeEventListener('online', this.again);
  }

  override render() {
    const { failed } = this.state;
    if (failed === null) return this.props.children;
    return (
      <main className="work" id="work">
        <h1>{failed === 'fetched' ? 'This page is not here yet' : 'This page broke'}</h1>
        <p role="alert">
          {failed === 'fetched'
            ? 'It could not be fetched: there is no connection, or the server is away. Nothing is lost; it comes by itself when the connection is back.'
            : 'It could not be drawn. Nothing you saved is lost, and what you typed is kept; it is fetched anew by itself.'}
        </p>
        <button type="button" className="plain" onClick={this.reload}>
          Try again
        </button>
      </main>
    );
  }
}
