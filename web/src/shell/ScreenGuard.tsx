import { Component, type ReactNode } from 'react';

/** How often it is tried again, and when the connection is back. */
const AGAIN_MS = 5000;

/** A screen that could not be fetched says so, keeps what is typed elsewhere, and comes by itself once there is a connection. */
export class ScreenGuard extends Component<{ children: ReactNode }, { failed: boolean }> {
  override state = { failed: false };
  private timer: number | undefined;

  static getDerivedStateFromError() {
    return { failed: true };
  }

  private readonly again = () => {
    window.clearInterval(this.timer);
    // What was not fetched is asked for anew by a page of its own.
    if (navigator.onLine)
      void fetch('/up')
        .then((answer) => answer.ok && window.location.reload())
        .catch(() => undefined);
  };

  override componentDidCatch() {
    this.timer = window.setInterval(this.again, AGAIN_MS);
    window.addEventListener('online', this.again);
  }

  override componentWillUnmount() {
    window.clearInterval(this.timer);
    window.removeEventListener('online', this.again);
  }

  override render() {
    if (!this.state.failed) return this.props.children;
    return (
      <main className="work">
        <h1>This page is not here yet</h1>
        <p role="alert">
          It could not be fetched: there is no connection, or the server is away. Nothing is lost; it comes by itself when the
          connection is back.
        </p>
        <button type="button" className="plain" onClick={() => window.location.reload()}>
          Try again
        </button>
      </main>
    );
  }
}
