-- A card is for a cut or for a groove; those of before are for cuts.
ALTER TABLE cards ADD COLUMN what TEXT NOT NULL DEFAULT 'cut' CHECK (what IN ('cut', 'groove'));
