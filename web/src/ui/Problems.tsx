import { Message } from './Message.tsx';

/** Sentences beside what they are about; `soft` ones are notes, not faults. */
export const Problems = ({ items, soft = false }: { items: readonly string[]; soft?: boolean }) =>
  items.map((text) => (
    <Message key={text} kind={soft ? 'note' : 'wrong'}>
      {text}
    </Message>
  ));
