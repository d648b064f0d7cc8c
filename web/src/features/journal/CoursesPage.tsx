import { Button, NumberInput } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, keys, type Courses } from '../../api/client';
import { useCourses, useFormulas } from '../../api/queries';
import { Choice } from '../../kit/Choice';
import { said } from '../../kit/fields';
import { useFormat, type Format } from '../../kit/format';
import { Loaded } from '../../kit/Loaded';
import { tell } from '../../kit/states';
import { Trouble } from '../../kit/Trouble';
import { WORDS } from '../../kit/words';
import { LearnLinks } from '../learning/LearnLinks';
import { OfHeads, WhoseHead } from '../people/OfHeads';
import './journal.css';

type Course = Courses['courses'][number];
const BESIDE = Object.keys(WORDS.confounders) as Course['beside'];
const DAY = 86_400_000;

/** Learn: a brew used in a rhythm for some weeks, and what can be told of it. */
export function CoursesPage() {
  const courses = useCourses();
  const format = useFormat();
  return (
    <main className="page" id="main">
      <LearnLinks />
      <OfHeads title="On whose head?">
        {(heads) => (
          <Loaded part of={courses}>
            {(view) => (
              <div className="stack wide">
                <h1>Courses</h1>
                <p>
                  A brew in a rhythm for some weeks. Wash days tick it; what you score in the
                  journal before it and in its second half is held side by side.
                </p>
                {view.courses.map((c) => (
                  <OneCourse
                    key={`${c.id}/${c.version}`}
                    course={c}
                    today={view.today}
                    format={format}
                  />
                ))}
                <Begin heads={heads} />
              </div>
            )}
          </Loaded>
        )}
      </OfHeads>
    </main>
  );
}

function OneCourse({ course, today, format }: { course: Course; today: string; format: Format }) {
  const client = useQueryClient();
  const path = { params: { path: { id: course.id } } };
  const put = (view: Courses) => client.setQueryData(keys.courses, view);
  const change = useMutation({
    mutationFn: (said: { beside: Course['beside']; over: boolean }) =>
      ask(api.PUT('/api/courses/{id}', { ...path, body: { version: course.version, ...said } })),
    onSuccess: put,
    onError: tell,
  });
  const remove = useMutation({
    mutationFn: () => ask(api.DELETE('/api/courses/{id}', path)),
    onSuccess: put,
    onError: tell,
  });
  const over = course.endedAt != null;
  return (
    <section className="sheet stack" aria-label={`${course.product}, ${course.name}`}>
      <h2>
        {course.product}, {course.name}
      </h2>
      <p className="soft">
        {format.day(course.from)} to {format.day(course.last)},{' '}
        {course.everyDays === 1 ? 'daily' : `once in ${course.everyDays} days`}
        {over && ', ended'}
      </p>
      <Ticks course={course} today={today} format={format} />
      <ul className="lines">
        {course.words.map((w) => (
          <li key={w}>{w}</li>
        ))}
      </ul>
      <div className="row" role="group" aria-label="What else changed">
        <span className="soft">What else changed?</span>
        {BESIDE.map((b) => (
          <Button
            key={b}
            variant={course.beside.includes(b) ? 'filled' : 'outline'}
            aria-pressed={course.beside.includes(b)}
            onClick={() =>
              change.mutate({
                beside: BESIDE.filter((o) => (o === b) !== course.beside.includes(o)),
                over,
              })
            }
          >
            {WORDS.confounders[b]}
          </Button>
        ))}
      </div>
      <div className="row">
        <Button
          variant="outline"
          onClick={() => change.mutate({ beside: course.beside, over: !over })}
        >
          {over ? 'It goes on' : 'End it'}
        </Button>
        <Button variant="subtle" color="madder" onClick={() => remove.mutate()}>
          Take it away
        </Button>
      </div>
    </section>
  );
}

/** Its days as a row of squares: used, to come, not used. */
function Ticks({ course, today, format }: { course: Course; today: string; format: Format }) {
  const first = Date.parse(course.from);
  const days = Math.round((Date.parse(course.last) - first) / DAY) + 1;
  const all = Array.from({ length: days }, (_, i) =>
    new Date(first + i * DAY).toISOString().slice(0, 10),
  );
  const words = `Used on ${course.ticks.length} of ${course.wanted} days asked for so far: ${course.ticks.map(format.day).join(', ')}`;
  return (
    <div className="ticks" role="img" aria-label={words}>
      {all.map((d) => (
        <span
          key={d}
          title={format.day(d)}
          className={course.ticks.includes(d) ? 'tick used' : d > today ? 'tick coming' : 'tick'}
        />
      ))}
    </div>
  );
}

function Begin({ heads }: { heads: { id: string; name: string }[] }) {
  const client = useQueryClient();
  const formulas = useFormulas();
  const [person, setPerson] = useState(heads[0]!.id);
  const [formula, setFormula] = useState('');
  const [weeks, setWeeks] = useState<number | string>(6);
  const [every, setEvery] = useState<number | string>(3);
  const begin = useMutation({
    mutationFn: () =>
      ask(
        api.POST('/api/courses', {
          body: { person, formula, weeks: Number(weeks), everyDays: Number(every) },
        }),
      ),
    onSuccess: (view) => client.setQueryData(keys.courses, view),
  });
  return (
    <form
      className="sheet stack"
      aria-label="Begin a course"
      onSubmit={(e) => {
        e.preventDefault();
        begin.mutate();
      }}
    >
      <h2>Begin a course</h2>
      <div className="row end">
        <WhoseHead heads={heads} value={person} onChange={setPerson} />
        <Choice
          label="Of which brew"
          placeholder="choose"
          data={(formulas.data ?? []).map((f) => ({ value: f.id, label: f.name }))}
          value={formula}
          onChange={setFormula}
          error={said(begin.error, 'formula')}
        />
        <NumberInput
          label="For how many weeks"
          w={170}
          value={weeks}
          onChange={setWeeks}
          clampBehavior="none"
          error={said(begin.error, 'weeks')}
        />
        <NumberInput
          label="Once in how many days"
          w={190}
          value={every}
          onChange={setEvery}
          clampBehavior="none"
          error={said(begin.error, 'everyDays')}
        />
      </div>
      <Trouble error={begin.error} fields={['formula', 'weeks', 'everyDays']} />
      <div>
        <Button
          type="submit"
          disabled={!formula || weeks === '' || every === ''}
          loading={begin.isPending}
        >
          Begin
        </Button>
      </div>
    </form>
  );
}
