import { outlineOf, speak, widestOf } from '@compas/core';
import { keepPreviousData, useInfiniteQuery } from '@tanstack/react-query';
import { App, Button, Input } from 'antd';
import { useDeferredValue, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { createPattern, patternPagesQuery, removePattern, type Pattern } from '../api/patterns.js';
import { useChange } from '../api/useChange.js';
import { sentenceOf } from '../api/problem.js';
import { Silhouette } from '../strip/Silhouette.js';
import { Length } from '../ui/Length.js';
import './pattern.css';

/** So few are seen at a glance: nobody searches among them. */
const FEW = 12;

/** Pixels for the tallest item on the shelf. */
const SHELF_HEIGHT = 236;

/** All patterns standing side by side at one scale, so that sizes are seen as they are. */
export default function Shelf() {
  const [search, setSearch] = useState('');
  const pages = useInfiniteQuery({
    ...patternPagesQuery(useDeferredValue(search.trim())),
    placeholderData: keepPreviousData,
  });
  const patterns = pages.data?.pages.flatMap((p) => p.patterns);
  const tallest = Math.max(50, ...(patterns ?? []).map((p) => outlineOf(p.body.parts[0].turnings[0]).length));
  return (
    <div className="column">
      <div className="row spread">
        <h1>Patterns</h1>
        <Link to="/patterns/new">
          <Button type="primary" size="large">
            New pattern
          </Button>
        </Link>
      </div>
      {(search !== '' || (patterns?.length ?? 0) > FEW) && (
        <Input
          aria-label="Search the patterns"
          placeholder="search by name"
          className="search"
          allowClear
          value={search}
          onChange={(e) => setSearch(e.target.value)}
        />
      )}
      {patterns?.length === 0 && search !== '' && <p>No pattern is called so.</p>}
      {patterns?.length === 0 && search === '' && (
        <p className="sheet">
          The shelf is empty. Begin with a form, such as a stopper or a handle, and the few sizes you know.
        </p>
      )}
      <ul className="shelf">
        {patterns?.map((pattern) => (
          <ShelfItem key={pattern.id} pattern={pattern} scale={Math.min(3.2, SHELF_HEIGHT / tallest)} />
        ))}
      </ul>
      {pages.hasNextPage && (
        <Button loading={pages.isFetchingNextPage} onClick={() => void pages.fetchNextPage()}>
          More patterns
        </Button>
      )}
      {patterns && patterns.length > 0 && <p className="soft">All at the same scale.</p>}
    </div>
  );
}

function ShelfItem({ pattern, scale }: { pattern: Pattern; scale: number }) {
  const { message } = App.useApp();
  const navigate = useNavigate();
  const duplicate = useChange(createPattern, 'patterns');
  const remove = useChange(removePattern, 'patterns');
  const outline = outlineOf(pattern.body.parts[0].turnings[0]);
  const failed = (error: unknown) => void message.error(speak(sentenceOf(error), 'mm'));
  return (
    <li className="shelf-item">
      <Link to={`/patterns/${pattern.id}`} className="shelf-link">
        <span className="shelf-stand" style={{ height: SHELF_HEIGHT + 6 }}>
          <Silhouette body={pattern.body} scale={scale} name={pattern.name} />
        </span>
        <b>{pattern.name}</b>
      </Link>
      <span className="soft">
        <Length mm={outline.length} /> long, <Length mm={widestOf(outline).diameter} /> thick
      </span>
      <span className="row">
        <Button
          size="small"
          onClick={() =>
            duplicate.mutate(
              { name: `${pattern.name}, copy`, body: pattern.body },
              { onSuccess: (made) => void navigate(`/patterns/${made.id}`), onError: failed },
            )
          }
        >
          Duplicate
        </Button>
        <Button
          size="small"
          type="text"
          onClick={() => remove.mutate(pattern.id, { onError: failed })}
          aria-label={`Take away ${pattern.name}`}
        >
          Take away
        </Button>
      </span>
    </li>
  );
}
