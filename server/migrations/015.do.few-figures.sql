-- Where the normals of a station were made of a few figures, those figures: said wherever they are used.
alter table stations add few_figures jsonb check (few_figures is null or normals is not null);
