import { Component, type ReactNode } from 'react';

interface Props {
  readonly children: ReactNode;
  /** What stands in for it; absent: a page that says so. */
  readonly fallback?: (error: Error) => ReactNode;
}

/** When a view fails: say so, and that the work is safe. Saved jobs are not touched by what went wrong here. */
export class Fault extends Component<Props, { error: Error | null }> {
  override state: { error: Error | null } = { error: null };

  static getDerivedStateFromError(error: Error) {
    return { error };
  }

  override render(): ReactNode {
    const { error } = this.state;
    if (!error) return this.props.children;
    if (this.props.fallback) return this.props.fallback(error);
    return (
      <main className="lost" role="alert">
        <h1>This view could not be drawn</h1>
        <p>Everything you saved is still in this browser. Load the page again; if it fails again, export the job.</p>
        <p>
          <code>{error.message}</code>
        </p>
        <p>
          <a href="/">All jobs</a>
        </p>
      </main>
    );
  }
}
