/** Works out what hangs on an object alone once, and remembers it for as long as somebody keeps the object. */
export function onceFor<Of extends object, Answer>(workOut: (of: Of) => Answer): (of: Of) => Answer {
  const known = new WeakMap<Of, { answer: Answer }>();
  return (of) => {
    const before = known.get(of);
    if (before) return before.answer;
    const answer = workOut(of);
    known.set(of, { answer });
    return answer;
  };
}
