/** Whether keys pressed there are meant for it: a field, a slider, a picture that is turned by keys, an open menu. */
export const isTyping = (target: EventTarget | null) =>
  target instanceof Element && target.closest('input, textarea, select, canvas, [role=menu], [role=dialog]') !== null
