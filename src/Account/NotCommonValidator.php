<?php

declare(strict_types=1);

namespace AwakeShed\App\Account;

use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\Validator\Constraint;
use Symfony\Component\Validator\ConstraintValidator;

/**
 * The list is that of @zxcvbn-ts/language-common (MIT), about 40 000 passwords found in the open, laid out by the build
 * as one word a line.
 */
final class NotCommonValidator extends ConstraintValidator
{
    /** Letters are often written as what looks like them. */
    private const LOOKALIKES = ['@' => 'a', '4' => 'a', '3' => 'e', '1' => 'i', '!' => 'i', '0' => 'o', '$' => 's', '5' => 's', '7' => 't'];

    public function __construct(#[Autowire('%kernel.project_dir%/var/common-passwords.txt')] private readonly string $list)
    {
    }

    public function validate(mixed $value, Constraint $constraint): void
    {
        if (\is_string($value) && '' !== $value && $constraint instanceof NotCommon && $this->isCommon($value)) {
            $this->context->addViolation($constraint->message);
        }
    }

    private function isCommon(string $password): bool
    {
        $plain = mb_strtolower($password);
        if (\count(array_unique(mb_str_split($plain))) < 5) {
            return true;
        }
        $words = "\n".file_get_contents($this->list);
        foreach ([$plain, strtr($plain, self::LOOKALIKES)] as $spelling) {
            $core = (string) preg_replace('/^[\W\d_]+|[\W\d_]+$/u', '', $spelling);
            // "mustangmustang" is no longer to guess than once.
            $half = mb_substr($spelling, 0, intdiv(mb_strlen($spelling), 2));
            $twice = $half.$half === $spelling ? $half : $spelling;
            foreach ([$spelling, $core, $twice] as $candidate) {
                if (mb_strlen($candidate) >= 6 && str_contains($words, "\n$candidate\n")) {
                    return true;
                }
            }
        }

        return self::isRun($plain);
    }

    /** "123456789012", "abcdefghijkl", "qwertyuiop12": most steps are to the neighbour, in the alphabet or on the keyboard. */
    private static function isRun(string $password): bool
    {
        $rows = ['abcdefghijklmnopqrstuvwxyz', '01234567890', 'qwertyuiop', 'asdfghjkl', 'zxcvbnm', 'qwertzuiop', 'yxcvbnm'];
        $steps = 0;
        for ($at = 0; $at < \strlen($password) - 1; ++$at) {
            $pair = substr($password, $at, 2);
            foreach ($rows as $row) {
                if (str_contains($row, $pair) || str_contains(strrev($row), $pair)) {
                    ++$steps;
                    break;
                }
            }
        }

        return $steps >= 0.75 * (\strlen($password) - 1);
    }
}
