<?php

declare(strict_types=1);

namespace AwakeShed\App\Form;

use AwakeShed\App\Http\ButtonForm;
use AwakeShed\App\Http\TokenExtension;
use AwakeShed\App\Once\RequestKey;
use Twig\Attribute\AsTwigFunction;

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

    /**
     * @param array<string, string> $fields
     *
     * @return string HTML
     */
    #[AsTwigFunction('hidden_fields', isSafe: ['html'])]
    public static function written(array $fields): string
    {
        $written = '';
        foreach ($fields as $name => $value) {
            $written .= \sprintf('<input type="hidden" name="%s" value="%s">', htmlspecialchars($name), htmlspecialchars($value));
        }

        return $written;
    }

    /** What a form written by hand carries; those of the form library carry the same. */
    #[AsTwigFunction('carried', isSafe: ['html'])]
    public function byHand(): string
    {
        return self::written($this->fresh('', null));
    }

    /** @return array<string, string> of a form nobody has sent yet */
    public function fresh(string $form, ?string $basedOn): array
    {
        return $this->of($form, ButtonForm::TOKEN_ID, RequestKey::fresh()->value, $basedOn);
    }
}
