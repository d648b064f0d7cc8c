package dremsa.server.tables;

import java.util.Map;

/** What is written out; each query names its columns as the file's header does. */
final class TableQueries {
  private static final String BATCHES =
      """
      select b.code, w.code as part_of, b.formula_name as name, b.formula_id as formula, b.status,
        b.started_at as started, b.ended_at as ended, b.bottled_ml, b.scale
      from batch b left join batch w on w.id = b.parent_id
      where b.household_id = ? order by b.started_at, b.code
      """;

  private static final String BOTTLES =
      """
      select t.code, t.number, t.name, t.container, t.size_ml, t.filled_ml, t.left_ml, t.place,
        t.first_place, t.filled_at as filled, t.last_day, t.marked, t.school, t.clean_working,
        t.printed_day, t.sterilised_at as sterilised, p.number as parted_from, t.status,
        t.end_reason as reason, t.ended_at as ended
      from bottle t left join bottle p on p.id = t.parent_id
      where t.household_id = ? order by t.filled_at, t.code, t.number
      """;

  /**
   * What happened; what counts for keeping without a line of its own; what befell the fridge. Times
   * are written to the second: within one the order does not depend on what is not written.
   */
  private static final String EVENTS =
      """
      select time, kind, code, bottle, millilitres, detail, if(undone, 'true', 'false') as undone,
        if(silent, 'true', 'false') as silent, `change`, place, hours, celsius, cause, own_ml, other
      from (
        select h.happened_at as time, h.kind, b.code, t.number as bottle, h.millilitres, h.detail,
          h.undone, false as silent, h.change_id as `change`, e.place, e.hours, e.celsius, e.cause,
          e.own_ml, e.other, h.id as n
        from happening h join batch b on b.id = h.batch_id
          left join bottle t on t.id = h.bottle_id
          left join bottle_event e on e.change_id = h.change_id and e.bottle_id = h.bottle_id
        where h.household_id = ?
        union all
        select e.happened_at, e.kind, t.code, t.number, null, '', e.undone, true, e.change_id,
          e.place, e.hours, e.celsius, e.cause, e.own_ml, e.other, e.id
        from bottle_event e join bottle t on t.id = e.bottle_id
        where e.household_id = ? and not exists (
          select 1 from happening h where h.change_id = e.change_id and h.bottle_id = e.bottle_id)
        union all
        select cast(replace(replace(j.at, 'T', ' '), 'Z', '') as datetime(6)), 'FRIDGE', '', null,
          null, f.words, f.undone, true, f.id, null, j.hours, j.celsius, j.cause, null, null, 0
        from fridge_event f, json_table(f.pieces, '$.pieces[*]' columns (
          at varchar(40) path '$.at', hours double path '$.hours',
          celsius double path '$.celsius', cause varchar(200) path '$.cause')) j
        where f.household_id = ?
      ) all_of_it
      order by date_format(time, '%Y-%m-%d %H:%i:%s'), silent, code, bottle, kind, n
      """;

  /** The log of the runs, and what was measured as a step ended. */
  private static final String READINGS =
      """
      select time, code, step, kind, amount, subject, words, source
      from (
        select e.entered_at as time, b.code, e.step_index + 1 as step, e.kind, e.amount, e.subject,
          e.words, e.source, e.id as n
        from batch_entry e join batch b on b.id = e.batch_id where e.household_id = ?
        union all
        select s.ended_at, b.code, s.step_index + 1, 'MEASURED_ML', s.measured_ml, null, '',
          'typed', 0
        from batch_step s join batch b on b.id = s.batch_id
        where b.household_id = ? and s.measured_ml is not null
        union all
        select s.ended_at, b.code, s.step_index + 1, 'MEASURED_C', s.measured_c, null, '', 'typed', 0
        from batch_step s join batch b on b.id = s.batch_id
        where b.household_id = ? and s.measured_c is not null
        union all
        select s.ended_at, b.code, s.step_index + 1, 'MEASURED_G', s.measured_g, null, '', 'typed', 0
        from batch_step s join batch b on b.id = s.batch_id
        where b.household_id = ? and s.measured_g is not null
        union all
        select s.ended_at, b.code, s.step_index + 1, 'MEASURED_PH', s.measured_ph, null, '',
          'typed', 0
        from batch_step s join batch b on b.id = s.batch_id
        where b.household_id = ? and s.measured_ph is not null
      ) all_of_it
      order by time, code, step, n, kind
      """;

  private static final String STORES =
      """
      select material_id as material, origin, grams, left_grams, got_on, opened_on, price, place,
        note, ended_at as ended
      from lot where household_id = ? order by got_on, material_id
      """;

  static final Map<String, String> ALL =
      Map.of(
          "batches", BATCHES,
          "bottles", BOTTLES,
          "events", EVENTS,
          "readings", READINGS,
          "stores", STORES);

  private TableQueries() {}
}
