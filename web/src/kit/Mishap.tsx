import { Button } from '@mantine/core';
import { Component, type ReactNode } from 'react';

/** Shown in place of a screen that failed to draw; what the server keeps is not touched by it. */
export class Mishap extends Component<{ place: string; children: ReactNode }, { error?: Error }> {
  state: { error?: Error } = {};

  static getDerivedStateFromError(error: Error) {
    return { error };
  }

  componentDidUpdate(before: { place: string }) {
    // Another screen is another try.
    if (before.place !== this.props.place && this.state.error) this.setState({ error: undefined });
  }

  render() {
    if (!this.state.error) return this.props.children;
    return (
      <main className="page stack" id="main">
        <h1>This screen could not be drawn</h1>
        <p>
          Nothing is lost: timers and records are kept by Dremsa. Reload it; if it comes again, tell
          whoever looks after this Dremsa what stands here.
        </p>
        <p className="soft small">{this.state.error.message}</p>
        <div>
          <Button onClick={() => window.location.reload()}>Reload</Button>
        </div>
      </main>
    );
  }
}
