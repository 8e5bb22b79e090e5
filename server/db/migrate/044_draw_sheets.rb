# frozen_string_literal: true

# A sheet as it is drawn: where everything on it lies, worked out once for what it says (drafts and versions that say the same share it) and anew
# when the program that draws is another one. An order is a row that holds neither picture nor problem yet.
Sequel.migration do
  change do
    create_table(:sheet_drawing) do
      String :digest, primary_key: true
      String :content, null: false
      String :program, null: false
      String :picture
      String :problem
      Float :took_s
      Time :asked_at, null: false, default: Sequel::CURRENT_TIMESTAMP
      Time :begun_at
      Time :drawn_at
      constraint(:sheet_drawing_one_outcome, Sequel.lit('picture is null or problem is null'))
      index :asked_at, where: Sequel.lit('picture is null and problem is null')
    end
  end
end
