-- What the studio decided on a finding. It holds for the fingerprint: the rule, its moment and its figures. A changed timeline brings the finding back.
create table finding_decision (
    session_id uuid not null references session (id) on delete cascade,
    fingerprint text not null,
    decision text not null check (decision in ('fixed', 'accepted')),
    reason text not null check (length(reason) <= 300),
    decided_by uuid references account (id) on delete set null,
    decided_at timestamptz not null default now(),
    primary key (session_id, fingerprint),
    check (decision = 'fixed' or length(reason) > 0)
);

-- How the studio measures where practitioners disagree: one row.
create table studio_setting (
    only_row boolean primary key default true check (only_row),
    impact_school text not null check (impact_school in ('highest', 'prevailing')),
    level_school text not null check (level_school in ('hardestFiveMinutes', 'wholeClass')),
    neighbours text not null check (neighbours in ('whenOffered', 'always')),
    weights double precision[] not null check (array_length(weights, 1) = 8),
    changed_by uuid references account (id) on delete set null,
    changed_at timestamptz not null default now()
);

create trigger studio_setting_tell after insert or update on studio_setting for each statement execute function tell_lexicon();

-- Doses worked out for classes still to be recorded.
create table class_plan (
    id uuid primary key,
    title text not null check (length(title) between 1 and 120),
    plan jsonb not null,
    retired boolean not null default false,
    made_by uuid references account (id) on delete set null,
    made_at timestamptz not null default now()
);

create index class_plan_newest on class_plan (made_at desc) where not retired;

-- The unit of mass a reader prefers.
alter table member_profile add column mass_unit text not null default 'kilograms' check (mass_unit in ('kilograms', 'pounds'));
