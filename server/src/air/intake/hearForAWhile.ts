import type { IntakeFault } from '@bright-keeper/contract';
import type { sources } from '@bright-keeper/core';
import { LIMITS } from '../../limits.js';
import type { KeptBroker } from './brokerFile.js';
import { BrokerLine } from './brokerLine.js';

/** Everything but what the broker says of itself. */
const EVERYTHING = '#';

/** The last word of each topic that is said within a few seconds, what the broker has kept included; or why the line does not open. */
export function hearForAWhile(broker: KeptBroker & { address: string }): Promise<{ messages: sources.Message[] } | { fault: IntakeFault }> {
  const { listenMs, topics } = LIMITS.broker;
  const last = new Map<string, string>();
  return new Promise((resolve) => {
    let isOpen = false;
    const line: { end?: () => void } = {};
    const done = (outcome: { messages: sources.Message[] } | { fault: IntakeFault }) => {
      clearTimeout(timer);
      line.end?.();
      resolve(outcome);
    };
    const timer = setTimeout(() => {
      done(isOpen ? { messages: [...last].map(([topic, text]) => ({ topic, text })) } : { fault: 'unreachable' });
    }, listenMs);
    const opened = new BrokerLine(broker, {
      heard: ({ topic, text }) => {
        if (last.size < topics || last.has(topic)) last.set(topic, text);
      },
      stands: (fault) => (fault === null ? (isOpen = true) : setImmediate(() => done({ fault }))),
      refused: () => done({ fault: 'refused' }),
    });
    line.end = () => opened.end();
    opened.listenTo(new Set([EVERYTHING]));
  });
}
