-- What a member tells about themselves. The strains are health data: read only for the member's own pages.
create table member_profile (
    account_id uuid primary key references account (id) on delete cascade,
    minutes integer check (minutes between 5 and 180),
    max_impact text check (max_impact in ('none', 'low', 'moderate', 'high')),
    level integer check (level between 1 and 5),
    goal text check (goal in ('strength', 'stamina', 'mobility', 'balance', 'steady habit')),
    kit text[] not null default '{}',
    spare text[] not null default '{}',
    updated_at timestamptz not null default now()
);
