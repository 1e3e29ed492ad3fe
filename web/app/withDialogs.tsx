import { App } from 'antd';
import type { ComponentType } from 'react';

/** A screen with the component library's dialogs and messages, which the player does without. */
export function withDialogs<P extends object>(Screen: ComponentType<P>): ComponentType<P> {
  return function ScreenWithDialogs(props: P) {
    return (
      <App component={false}>
        <Screen {...props} />
      </App>
    );
  };
}
