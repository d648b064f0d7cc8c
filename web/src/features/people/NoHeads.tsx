import { Button } from '@mantine/core';
import { Link } from 'react-router';
import { Empty } from '../../kit/states';

/** There is nobody yet: what is asked, and the way to a first page. */
export function NoHeads({ title }: { title: string }) {
  return (
    <Empty title={title}>
      <p>Make a page for each head first: a name is enough.</p>
      <div>
        <Button component={Link} to="/use/people/new">
          Make a page for somebody
        </Button>
      </div>
    </Empty>
  );
}
