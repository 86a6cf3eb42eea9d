import type { ReactNode } from 'react';
import { ButtonLink, Empty } from './parts';

type EndedProps = { title: string; item: { id: string; name: string }; children: ReactNode };

/** In the place of work that is over, here or on another screen, with the way back to its thing. */
export const Ended = ({ title, item, children }: EndedProps) => (
  <div className="mx-auto my-8 max-w-prose px-4">
    <Empty
      title={title}
      action={
        <ButtonLink look="filled" to={`/gear/${item.id}`}>
          Back to the {item.name}
        </ButtonLink>
      }
    >
      {children}
    </Empty>
  </div>
);
