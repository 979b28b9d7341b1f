<?php

declare(strict_types=1);

namespace Tests\Lint;

use JollyPenny\Core\Season\Day;
use JollyPenny\Core\Showing\Labels\LabelSheet;
use PhpParser\Node;
use PhpParser\Node\Expr\AssignOp;
use PhpParser\Node\Expr\BinaryOp;
use PhpParser\Node\Expr\PropertyFetch;
use PHPStan\Analyser\Scope;
use PHPStan\Rules\IdentifierRuleError;
use PHPStan\Rules\Rule;
use PHPStan\Rules\RuleErrorBuilder;
use stdClass;

/**
 * What is computed of a season is computed in the core: no sums of its values, nor of a result's, anywhere else.
 *
 * @implements Rule<Node\Expr>
 */
final class NoSeasonArithmetic implements Rule
{
    private const OPERATIONS = [BinaryOp\Plus::class, BinaryOp\Minus::class, BinaryOp\Mul::class, BinaryOp\Div::class, BinaryOp\Pow::class,
        AssignOp\Plus::class, AssignOp\Minus::class, AssignOp\Mul::class, AssignOp\Div::class];

    /** Days are counted, and labels laid out, by whoever shows them. */
    private const MAY = [Day::class, LabelSheet::class];

    public function getNodeType(): string
    {
        return Node\Expr::class;
    }

    /** @return list<IdentifierRuleError> */
    public function processNode(Node $node, Scope $scope): array
    {
        if (! in_array($node::class, self::OPERATIONS, true)) {
            return [];
        }
        $operands = $node instanceof BinaryOp ? [$node->left, $node->right] : ($node instanceof AssignOp ? [$node->var, $node->expr] : []);
        foreach ($operands as $operand) {
            if ($this->isOfSeason($operand, $scope)) {
                return [RuleErrorBuilder::message('Arithmetic on a value of the season or of a result belongs in the core.')
                    ->identifier('jolly.arithmetic')->build()];
            }
        }

        return [];
    }

    private function isOfSeason(Node\Expr $operand, Scope $scope): bool
    {
        while ($operand instanceof Node\Expr\Cast || $operand instanceof BinaryOp\Coalesce) {
            $operand = $operand instanceof Node\Expr\Cast ? $operand->expr : $operand->left;
        }
        if (! $operand instanceof PropertyFetch) {
            return false;
        }
        foreach ($scope->getType($operand->var)->getObjectClassNames() as $class) {
            if (($class === stdClass::class || str_starts_with($class, 'JollyPenny\Core\\')) && ! in_array($class, self::MAY, true)) {
                return true;
            }
        }

        return false;
    }
}
