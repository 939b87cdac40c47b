<?php

declare(strict_types=1);

namespace AwakeShed\App\Form;

use Symfony\Component\Form\FormView;

/** Somebody else saved something between the opening of a form and its sending. */
final class ChangedSince extends \RuntimeException
{
    /**
     * @param non-empty-list<Difference> $differences
     * @param string                     $mark        of what is saved now
     */
    public function __construct(public readonly array $differences, private readonly string $mark)
    {
        parent::__construct('Somebody else saved this meanwhile.');
    }

    /** Sent again, the form knowingly replaces what is saved now. */
    public function rebase(FormView $form): void
    {
        Carried::rebase($form, $this->mark);
    }
}
