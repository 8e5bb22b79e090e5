# frozen_string_literal: true

# Lists and patterns that people use: zxcvbn (Wheeler, USENIX Security 2016), its own data.
RSpec.describe Server::Passwords do
  about = ['odile.brack@skarrow.example', 'Odile Brack']

  ['            ', 'password1234', 'qwertyuiop12', 'aaaaaaaaaaaa', '123456789012', 'odile.brack@skarrow.example', 'OdileBrack2026', 'skarrowskarrow',
   'wattomneum2026', 'abcdefghijkl'].each do |easy|
    it "refuses #{easy.inspect}, and says what is better" do
      expect { described_class.check!(easy, about: about) }
        .to raise_error(Server::Refusals::InvalidInput) { |error| expect(error.fields['password'].first).to include('three or four words') }
    end
  end

  ['wet gloves at dawn', 'nine cold copper strands', 'Zf9#kq2!mW7x', "a#{'b7Q!' * 500}"].each do |hard|
    it "takes #{hard[0, 30].inspect}" do
      expect { described_class.check!(hard, about: about) }.not_to raise_error
    end
  end
end
