<?php

declare(strict_types=1);

namespace AwakeShed\App\Form;

use AwakeShed\App\Http\ButtonForm;
use AwakeShed\App\Http\TokenExtension;
use AwakeShed\App\Once\RequestKey;

/** The hidden fields of what a form carries, by their names as they are sent. */
final readonly class CarriedFields
{
    public function __construct(private TokenExtension $token)
    {
    }

    /**
     * @param string      $form  its name; empty where its fields stand alone
     * @param string|null $token by its id; null: none
     *
     * @return array<string, string>
     */
    public function of(string $form, ?string $token, ?string $key, ?string $basedOn): array
    {
        $values = array_filter([Carried::TOKEN => null === $token ? null : $this->token->token($token), Carried::KEY => $key, Carried::BASED_ON => $basedOn], is_string(...));

        return array_combine(array_map(static fn (string $field): string => Carried::nameIn($form, $field), array_keys($values)), $values);
    }

    /** @return array<string, string> of a form nobody has sent yet */
    public function fresh(string $form, ?string $basedOn): array
    {
        return $this->of($form, ButtonForm::TOKEN_ID, RequestKey::fresh()->value, $basedOn);
    }
}
