import { KeyboardSensor, MouseSensor, TouchSensor, useSensor, useSensors, type KeyboardCoordinateGetter } from '@dnd-kit/core';
import { schedule } from '@bright-keeper/core';

const STEPS: Record<string, number> = { ArrowLeft: -1, ArrowRight: 1, ArrowUp: -7, ArrowDown: 7 };
/** A short press before a touch drags, so that a thumb can still scroll. */
const TOUCH = { delay: 250, tolerance: 8 };
const MOUSE = { distance: 6 };

/** The arrow keys go from day to day and from week to week, along the days that are shown. */
export const dayByDay: KeyboardCoordinateGetter = (event, { context: { over, droppableRects, collisionRect }, currentCoordinates }) => {
  const step = STEPS[event.code];
  if (step === undefined || !over || !collisionRect) return undefined;
  event.preventDefault();
  const rect = droppableRects.get(schedule.addDays(String(over.id), step));
  if (!rect) return currentCoordinates;
  return { x: rect.left + (rect.width - collisionRect.width) / 2, y: rect.top + (rect.height - collisionRect.height) / 2 };
};

export const useDragging = () =>
  useSensors(
    useSensor(MouseSensor, { activationConstraint: MOUSE }),
    useSensor(TouchSensor, { activationConstraint: TOUCH }),
    useSensor(KeyboardSensor, { coordinateGetter: dayByDay }),
  );
